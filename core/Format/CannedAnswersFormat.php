<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/**
 * Recorded answers of look-ups, by name: {"tide": [{"args": {"port": "porth"}, "status": 200, "body": "…"},
 * {"trouble": "timeout"}]}. docs/formats/readings.schema.json describes it.
 */
final class CannedAnswersFormat
{
    /** Answers of one look-up. */
    public const MOST = 1_000;

    /** Characters of a header's value. */
    private const HEADER = 1_000;

    /** Seconds that an answer may be made to take. */
    private const SLOWEST = 3_600;

    /**
     * @param  array<string, Lookup>  $lookups  by folded name
     * @param  Moment  $now  when those came that do not say
     * @return array{array<string, list<CannedAnswer>>, list<Finding>} by folded name of the look-up
     */
    public static function read(string $text, array $lookups, Moment $now): array
    {
        $document = Document::parse($text);
        if (is_array($document)) {
            return [[], $document];
        }

        return [self::of($document, $lookups, $now), $document->findings()];
    }

    /**
     * The same within another document.
     *
     * @param  array<string, Lookup>  $lookups  by folded name
     * @return array<string, list<CannedAnswer>> by folded name of the look-up
     */
    public static function of(Document $document, array $lookups, Moment $now): array
    {
        $answers = [];
        foreach ($document->each() as $name => $of) {
            $lookup = $lookups[Fold::caseless((string) $name)] ?? null;
            if ($lookup === null) {
                $of->flaw(DocumentError::NotInPack, ['value' => (string) $name]);

                continue;
            }
            $answers[Fold::caseless((string) $name)] = array_map(
                static fn (Document $one): CannedAnswer => self::one($one, $lookup, $now),
                $of->items(self::MOST),
            );
        }

        return $answers;
    }

    public static function one(Document $one, Lookup $lookup, Moment $now): CannedAnswer
    {
        $one->object(['name', 'args', 'status', 'headers', 'body', 'at', 'trouble', 'slow']);
        $for = [];
        foreach ($one->has('args') ? $one->at('args')->each() : [] as $name => $value) {
            if (! isset($lookup->parameters[Fold::caseless((string) $name)])) {
                $value->flaw(DocumentError::UnknownKey, ['key' => (string) $name]);
            }
            $for[Fold::caseless((string) $name)] = (string) $value->scalar();
        }
        $headers = [];
        foreach ($one->has('headers') ? $one->at('headers')->each() : [] as $name => $value) {
            $headers[strtolower((string) $name)] = $value->text(self::HEADER);
        }

        return new CannedAnswer(
            $for,
            $one->has('trouble') ? $one->at('trouble')->oneOf(Trouble::class) : new Answer(
                $one->has('status') ? $one->at('status')->whole(100, 599) : 200,
                $headers,
                $one->has('body') ? $one->at('body')->text(Answer::LARGEST) : '',
                $one->has('at') ? $one->at('at')->moment() : $now,
            ),
            $one->has('name') ? $one->at('name')->text(60) : '',
            $one->has('slow') ? $one->at('slow')->whole(0, self::SLOWEST) : 0,
        );
    }

    /** @return array<string, mixed> */
    public static function write(CannedAnswer $canned): array
    {
        $answer = $canned->answer;

        return ($canned->name === '' ? [] : ['name' => $canned->name])
            + ($canned->for === [] ? [] : ['args' => $canned->for])
            + ($answer instanceof Trouble ? ['trouble' => $answer->value] : array_filter([
                'status' => $answer->status === 200 ? null : $answer->status,
                'headers' => $answer->headers,
                'at' => $answer->at->iso(),
            ]) + ['body' => $answer->body])
            + ($canned->slow === 0 ? [] : ['slow' => $canned->slow]);
    }
}
