<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use Amp\TimeoutCancellation;
use App\Models\Channel;
use App\Storage\Assembler;
use App\Web\ReadingWorkers;
use App\Web\RecordedAnswer;
use App\Web\RecordedAnswers;
use DateTimeZone;
use Illuminate\Database\Connection;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Source\Fold;

/** What a look-up is rehearsed with, beside each other: one answer a line, its readings as the fields have them now. */
final readonly class CannedLines
{
    /** Lines that are shown. */
    private const MOST = 12;

    /** Seconds that reading all of them may take. */
    private const SECONDS = 1.5;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param  array<int, string>  $problems  paths that cannot be read, by place of the reading
     * @return list<CannedLine> those in use first, then the newest
     */
    public function of(Channel $channel, Lookup $lookup, array $problems = []): array
    {
        $all = (new RecordedAnswers($this->connection))->ofOne($channel->id, $lookup);
        $used = [];
        foreach ($all as $one) {
            $for = self::key($one->canned);
            if ($one->isChosen || ($one->isReal() && ! isset($used[$for]))) {
                $used[$for] = $one->id;
            }
        }
        $isUsed = static fn (RecordedAnswer $one): bool => ($used[self::key($one->canned)] ?? 0) === $one->id;
        // A sort that keeps what is equal in its order.
        usort($all, static fn (RecordedAnswer $a, RecordedAnswer $b): int => $isUsed($b) <=> $isUsed($a));
        $workers = new ReadingWorkers;
        $within = new TimeoutCancellation(self::SECONDS);
        $lines = array_map(
            fn (RecordedAnswer $one): CannedLine => new CannedLine($one, $isUsed($one), self::shown(
                $channel,
                $lookup,
                self::readings($one->canned, $lookup, $channel, $workers, $within),
                $problems,
            )),
            array_slice($all, 0, self::MOST),
        );
        $workers->end();

        return $lines;
    }

    /**
     * @param  array<int, string>  $problems
     * @return list<ReadingShown> of one answer; null where there is none
     */
    public static function ofAnswer(Channel $channel, Lookup $lookup, ?CannedAnswer $canned, array $problems): array
    {
        $workers = new ReadingWorkers;
        $within = new TimeoutCancellation(self::SECONDS);
        $read = $canned === null ? new ReadAnswer([]) : self::readings($canned, $lookup, $channel, $workers, $within);
        $workers->end();

        return self::shown($channel, $lookup, $read, $problems);
    }

    private static function readings(
        CannedAnswer $canned,
        Lookup $lookup,
        Channel $channel,
        ReadingWorkers $workers,
        TimeoutCancellation $within,
    ): ReadAnswer {
        return match (true) {
            $canned->read !== null => $canned->read,
            $canned->answer instanceof Answer => $workers->read(
                $lookup,
                $canned->answer,
                new DateTimeZone($channel->zone),
                $within,
            ),
            default => new ReadAnswer(array_fill_keys(
                array_keys($lookup->readings),
                $canned->answer->gap($lookup),
            )),
        };
    }

    /**
     * @param  array<int, string>  $problems
     * @return list<ReadingShown>
     */
    private static function shown(Channel $channel, Lookup $lookup, ReadAnswer $read, array $problems): array
    {
        $shown = [];
        foreach (array_values($lookup->readings) as $place => $reading) {
            $folded = Fold::caseless($reading->name);
            $shown[] = ReadingShown::of(
                $reading->name,
                $read->values[$folded] ?? null,
                $problems[$place] ?? '',
                Assembler::channel($channel),
                $read->places[$folded] ?? 1,
                $read->raw[$folded] ?? '',
            );
        }

        return $shown;
    }

    private static function key(CannedAnswer $canned): string
    {
        $for = array_map(Fold::caseless(...), $canned->for);
        ksort($for);

        return json_encode($for, JSON_THROW_ON_ERROR);
    }
}
