<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Publish\HeardTwice;
use App\Publish\LineReruns;
use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;

/** The lines of the real chat through the edition on the air and through the draft: what is the same, and what not. */
final readonly class LastNight
{
    public const MOST_HOURS = 72;

    /** Lines that are looked at. */
    private const LINES = 20_000;

    /** Of each kind of difference, those that are kept. */
    private const KEPT = 200;

    public function __construct(private LineReruns $reruns)
    {
    }

    /**
     * @param  Closure(int): bool  $goesOn  asked now and then with how many lines were looked at
     * @return array{lines: int, same: int, different: int, newly: int, no_longer: int,
     *     shown: array<string, list<array{line: int, at: string, by: string, text: string, before: string,
     *     after: string}>>}
     */
    public function hear(Channel $channel, Moment $since, Pack $air, Pack $draft, Closure $goesOn): array
    {
        $counts = ['same' => 0, 'different' => 0, 'newly' => 0, 'no_longer' => 0];
        $shown = ['different' => [], 'newly' => [], 'no_longer' => []];
        $lines = 0;
        foreach ($this->reruns->since($channel, $since, $air, $draft) as $twice) {
            if (++$lines > self::LINES || ! $goesOn($lines)) {
                break;
            }
            $kind = self::kind($twice);
            if ($kind === null) {
                continue;
            }
            $counts[$kind]++;
            if ($kind !== 'same' && count($shown[$kind]) < self::KEPT) {
                $shown[$kind][] = [
                    'line' => $twice->line->number,
                    'at' => $twice->line->at->iso(),
                    'by' => $twice->line->by->name,
                    'text' => mb_substr($twice->line->text, 0, 300),
                    'before' => implode(' / ', $twice->air->texts()),
                    'after' => implode(' / ', $twice->draft->texts()),
                ];
            }
        }

        return ['lines' => min($lines, self::LINES)] + $counts + ['shown' => $shown];
    }

    /** @return 'same'|'different'|'newly'|'no_longer'|null null where neither says anything */
    private static function kind(HeardTwice $twice): ?string
    {
        [$before, $after] = [$twice->air->texts(), $twice->draft->texts()];

        return match (true) {
            $before === [] && $after === [] => null,
            $before === $after => 'same',
            $before === [] => 'newly',
            $after === [] => 'no_longer',
            default => 'different',
        };
    }
}
