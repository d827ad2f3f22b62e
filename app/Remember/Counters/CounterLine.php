<?php

declare(strict_types=1);

namespace App\Remember\Counters;

use App\Models\Channel;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Pack\Counter;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** How one number of a counter came to be what it is, step by step. */
final readonly class CounterLine
{
    /** Steps that are drawn: of more, so many evenly among them, and the last. */
    private const STEPS = 400;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @return array{list<array{at: Moment, number: int}>, int} oldest first, the first step is what it was before them;
     *     and how many steps there are in all
     */
    public function of(Channel $channel, Counter $counter, Owner $owner): array
    {
        /** @var list<object{before: string, after: string, at: string, steps: int}> $rows */
        $rows = $this->connection->select(
            'SELECT `before`, after, at, steps FROM (
                SELECT id, `before`, after, at, ROW_NUMBER() OVER (ORDER BY id) AS step, COUNT(*) OVER () AS steps
                FROM memory_history WHERE channel_id = ? AND kind = ? AND name = ? AND owner = ?
             ) AS all_steps WHERE step = 1 OR step = steps OR step % CEIL(steps / '
                .self::STEPS
                .') = 0 ORDER BY id',
            [$channel->id, Kind::Counter->value, Fold::caseless($counter->id), $owner->id],
        );
        $steps = [];
        foreach ($rows as $row) {
            $at = Moment::fromIso(str_replace(' ', 'T', $row->at).'Z') ?? new Moment(0);
            if ($steps === []) {
                $steps[] = ['at' => $at, 'number' => self::number($row->before, $counter)];
            }
            $steps[] = ['at' => $at, 'number' => self::number($row->after, $counter)];
        }

        return [$steps, $rows[0]->steps ?? 0];
    }

    /**
     * @param  list<array{at: Moment, number: int}>  $steps
     * @return string the points of a step line, "0,40 20,40 20,30"; empty where there is none
     */
    public static function points(array $steps, int $width, int $height): string
    {
        if (count($steps) < 2) {
            return '';
        }
        $numbers = array_column($steps, 'number');
        [$low, $high] = [min($numbers), max($numbers)];
        [$from, $to] = [$steps[0]['at']->millis, $steps[count($steps) - 1]['at']->millis];
        $points = [];
        $before = null;
        foreach ($steps as $step) {
            $x = round(($step['at']->millis - $from) / max(1, $to - $from) * $width, 1);
            $y = round($height - ($step['number'] - $low) / max(1, $high - $low) * $height, 1);
            $points[] = ($before === null ? '' : "$x,$before ")."$x,$y";
            $before = $y;
        }

        return implode(' ', $points);
    }

    private static function number(string $json, Counter $counter): int
    {
        $value = json_decode($json, true);
        $value = is_array($value) ? $value['n'] ?? null : $value;

        return is_int($value) ? $value : $counter->start;
    }
}
