<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Air\Log;
use App\Models\Channel;
use App\Rehearse\Evenings\Evenings;
use App\Rehearse\Evenings\MarkRows;
use Illuminate\Contracts\Cache\Repository;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** Lines that are taken into a tried chat. A moment of a rehearsal is heard again once, and kept for a while. */
final readonly class TakenLines
{
    /** In seconds. */
    private const KEPT = 3_600;

    /** From here on down, lines that are kept here alone: no moment has so high a number. */
    private const OWN = 1_000_000_000_000;

    public function __construct(private Log $log, private Evenings $evenings, private Repository $cache)
    {
    }

    /** @param  int  $number  of a line on the air; below 0, of a moment of a rehearsal; 0 for none */
    public function of(Channel $channel, int $number): ?TakenLine
    {
        if ($number < 0) {
            return $number < -PHP_INT_MAX ? null : $this->moment($channel, -$number);
        }
        $line = $number === 0 ? null : $this->log->line($channel->id, $number);

        return $line === null ? null : TakenLine::ofLog($line, $channel->seed);
    }

    /** @return int the number by which it is found for a while */
    public function keep(Channel $channel, TakenLine $line): int
    {
        $number = self::OWN + random_int(1, self::OWN);
        $this->cache->put("moment {$channel->id} $number", self::kept($line), self::KEPT);

        return -$number;
    }

    private function moment(Channel $channel, int $mark): ?TakenLine
    {
        $key = "moment {$channel->id} $mark";
        $kept = $this->cache->get($key);
        if (! is_array($kept)) {
            $line = $mark >= self::OWN ? null : $this->heardAgain($channel, $mark);
            if ($line === null) {
                return null;
            }
            $this->cache->put($key, $kept = self::kept($line), self::KEPT);
        }
        /**
         * @var array{by: array<string, mixed>, text: string, at: int, key: string, seed: string, whisper: bool,
         *     memory: array<string, null|bool|int|string|array<string, mixed>>,
         *     readings: array<string, null|bool|int|string>} $kept
         */
        $by = Person::fromRecord($kept['by']);

        return $by === null ? null : new TakenLine(
            -$mark,
            $by,
            $kept['text'],
            new Moment($kept['at']),
            $kept['key'],
            $kept['seed'],
            $kept['whisper'],
            $kept['memory'],
            $kept['readings'],
        );
    }

    private function heardAgain(Channel $channel, int $mark): ?TakenLine
    {
        $row = MarkRows::row($channel, $mark);
        $kept = $row === null ? null : MarkRows::find($row, $mark);
        $again = $row === null || $kept === null ? null : $this->evenings->moment($channel, $row, $kept);
        $heard = $again?->heard->event;
        $by = $heard?->person();
        if ($again === null || $heard === null || $by === null) {
            return null;
        }
        $line = $heard->line();

        return new TakenLine(
            -$mark,
            $by,
            $line->text ?? $again->heard->line->text,
            $line->at ?? $heard->at(),
            $line->key ?? $heard->key(),
            $again->seed,
            $line->isWhisper ?? false,
            $again->memory,
            $again->readings,
        );
    }

    /** @return array<string, mixed> */
    private static function kept(TakenLine $line): array
    {
        return [
            'by' => $line->by->record(),
            'text' => $line->text,
            'at' => $line->at->millis,
            'key' => $line->key,
            'seed' => $line->seed,
            'whisper' => $line->isWhisper,
            'memory' => $line->memory,
            'readings' => $line->readings,
        ];
    }
}
