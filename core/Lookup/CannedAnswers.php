<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use DateTimeZone;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** What look-ups say in a rehearsal: the first recorded answer that is for what is asked. */
final class CannedAnswers implements Readings, TellsOrigins
{
    /** Seconds that look-ups of one response may take together, on the air as here. */
    public const DEADLINE = 3;

    /** The reading that every look-up has: how old its answer is. */
    public const AGE = 'age';

    /** @var array<string, AnswerReader> by look-up and place of the answer */
    private array $readers = [];

    /**
     * @param  array<string, Lookup>  $lookups  by folded name
     * @param  array<string, list<CannedAnswer>>  $answers  by folded name of the look-up
     * @param  Readings  $others  what is no look-up with an answer here
     * @param  Moment|null  $now  from which ages count; null where all are of this moment
     */
    public function __construct(
        private readonly array $lookups,
        private readonly array $answers,
        private readonly Readings $others,
        private readonly DateTimeZone $zone,
        private readonly ?Moment $now = null,
    ) {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $found = $this->find($request);

        return $found === null
            ? $this->others->read($request)
            : $this->of($found[0], $found[1], $found[2], $request->of);
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        $found = $this->find($request);
        if ($found === null) {
            return $this->others instanceof TellsOrigins ? $this->others->originOf($request) : null;
        }
        [$lookup, $canned, $key] = $found;
        $answer = $canned->answer;
        $wanted = $lookup->readings[Fold::caseless($request->of)] ?? null;
        $age = $answer instanceof Answer && $this->now !== null
            ? max(0, intdiv($this->now->millis - $answer->at->millis, 1_000))
            : 0;

        return new ReadingOrigin(ReadingOrigin::CANNED, $age, $canned->slow * 1_000, match (true) {
            $wanted === null, ! $answer instanceof Answer => '',
            $canned->read !== null => $canned->read->raw[Fold::caseless($request->of)] ?? '',
            default => $this->reader($key, $lookup, $answer)->raw($wanted),
        }, $canned->name);
    }

    /** @return array{Lookup, CannedAnswer, string}|null the first that is for what is asked, and its key */
    private function find(Request $request): ?array
    {
        $lookup = $request->subject === 'lookup' ? $this->lookups[$request->name] ?? null : null;
        foreach ($this->answers[$request->name] ?? [] as $place => $canned) {
            if ($lookup !== null && $canned->isFor($request->arguments)) {
                return [$lookup, $canned, "{$request->name} $place"];
            }
        }

        return null;
    }

    private function reader(string $key, Lookup $lookup, Answer $answer): AnswerReader
    {
        return $this->readers[$key] ??= new AnswerReader($lookup, $answer, $this->zone);
    }

    private function of(Lookup $lookup, CannedAnswer $canned, string $key, string $reading): bool|int|string|Value
    {
        $answer = $canned->slow > self::DEADLINE ? Trouble::Timeout : $canned->answer;
        if ($answer instanceof Trouble) {
            return $answer->gap($lookup);
        }
        if ($reading === self::AGE) {
            return TimeSpan::between($answer->at, $this->now ?? $answer->at) ?? new Gap(GapReason::LookupMissing, [
                'name' => self::AGE,
            ]);
        }
        $wanted = $lookup->readings[Fold::caseless($reading)] ?? null;
        if ($wanted === null) {
            return new Gap(GapReason::Unknown, ['name' => "lookup.{$lookup->name}.$reading"]);
        }

        if ($canned->read !== null) {
            return $canned->read->values[Fold::caseless($reading)] ?? $wanted->gap(GapReason::LookupMissing);
        }

        return $this->reader($key, $lookup, $answer)->one($wanted);
    }
}
