<?php

declare(strict_types=1);

namespace App\Web;

use DateTimeZone;
use SilverParrot\Document\Document;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\AnswerReader;
use SilverParrot\Lookup\Outline\Candidate;
use SilverParrot\Lookup\Outline\Candidates;
use SilverParrot\Lookup\Outline\Outlines;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;
use SilverParrot\Value\Moment;

/** What is done with an answer in a process of its own, with what ReadingWorkers sends. */
final class AnswerWork
{
    /**
     * @param  array{status: int, headers: array<string, string>, body: string, at: int, zone: string,
     *     lookup: array<string, mixed>}  $asked
     * @return array<string, mixed>
     */
    public static function readings(array $asked): array
    {
        $answer = new Answer($asked['status'], $asked['headers'], $asked['body'], new Moment($asked['at']));

        return (new AnswerReader(
            LookupFormat::read(Document::of($asked['lookup'])),
            $answer,
            new DateTimeZone($asked['zone']),
        ))->all()->kept();
    }

    /**
     * @param  array{format: string, body: string}  $asked
     * @return array{node: list<mixed>}|array{bad: string}
     */
    public static function outline(array $asked): array
    {
        try {
            return ['node' => Outlines::of(AnswerFormat::from($asked['format']), $asked['body'])->kept()];
        } catch (BadAnswer $bad) {
            return ['bad' => $bad->getMessage()];
        }
    }

    /**
     * @param  array{format: string, body: string, path: string}  $asked
     * @return list<array{string, list<array{string, string}>}>
     */
    public static function candidates(array $asked): array
    {
        try {
            return array_map(
                static fn (Candidate $one): array => [$one->value, $one->tells],
                Candidates::in(AnswerFormat::from($asked['format']), $asked['body'], $asked['path']),
            );
        } catch (BadAnswer) {
            return [];
        }
    }
}
