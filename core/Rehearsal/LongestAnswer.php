<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\Lengths;
use SilverParrot\Response\Analysis\ResponseEstimate;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Vocabulary\Names\OutcomeName;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;
use SilverParrot\World;

/**
 * The longest that a response was seen to say, and what makes it say that: it is said under imagined circumstances,
 * first the longest of everything, then mixtures with what its conditions compare with, until it comes near what is
 * possible.
 */
final readonly class LongestAnswer
{
    /** Attempts; each costs about what one line costs. */
    private const MOST = 160;

    /** Near enough to the longest possible to look no further. */
    private const NEAR = 0.98;

    /** Texts of these are long in one way or another: plain, in capitals, in an address. */
    private const LETTERS = ['w', 'ﬃ', '🦜'];

    /**
     * @param  int  $length  in characters as people count them
     * @param  list<string>  $given  what made it so long, in plain words
     */
    private function __construct(public string $text, public int $length, public array $given)
    {
    }

    /** @param  list<string>  $triggers */
    public static function of(
        Response $response,
        ResponseEstimate $estimate,
        Pack $pack,
        ChatProfile $profile,
        array $triggers,
        Moment $now,
    ): ?self {
        [$extent, $words] = [$estimate->extent, $estimate->longestTyped];
        $longest = null;
        $name = str_pad('Wwww', $profile->longestName, 'w');
        $caller = Person::known('longest', $name, $name, Levels::of(Level::Subscriber, Level::Moderator), 3);
        [$texts, $numbers] = self::compared($response);
        $usesLine = self::usesLine($response);
        $lines = self::lines($name, $words, $texts, $numbers);
        $long = str_repeat('w', OutcomeName::LONGEST);
        $outcome = [
            'name' => str_pad($triggers[0] ?? '', Limits::NAME, 'w'),
            'before' => str_repeat('w', Limits::READING),
            'after' => str_repeat('w', Limits::READING),
            'reason' => $long,
            'needs' => $long,
            'also' => $long,
            'has' => $long,
            'left' => TimeSpan::between($now, $now->plusMillis(86_400_000 * Lengths::DAYS - 1000)),
        ];
        $work = 0;
        $own = new OwnResponses(new ResponseCache);
        for (
            $attempt = 0;
            $attempt < self::MOST
            && $work < Limits::WORK
            && ($longest === null || $longest->length < self::NEAR * $extent->longest);
            $attempt++
        ) {
            $imagined = new SyntheticWorld($pack, $name, $attempt, $texts, $numbers);
            $typed = $lines[$attempt % count($lines)];
            $trigger = $triggers[$attempt % max(1, count($triggers))] ?? '!';
            $world = new World(
                $pack,
                $imagined,
                $imagined,
                $now,
                new KeyedChance('longest', (string) $attempt),
                $profile,
            );
            $run = new EvaluationContext(
                $world,
                Invocation::of($caller, $typed, $trigger, trim("$trigger $typed"))->withOutcome($outcome),
                'longest',
                new PendingReads,
                own: $own,
            );
            $said = $response->say($run);
            $work += $run->worked();
            $length = $said instanceof RenderedResponse ? ValueEstimate::length($said->text) : -1;
            if ($said instanceof RenderedResponse && $length > ($longest->length ?? -1)) {
                $longest = new self($said->text, $length, [
                    ...$usesLine ? self::ofTheLine($typed) : [],
                    ...$imagined->given(),
                ]);
            }
        }

        return $longest;
    }

    /** Whether it matters what is typed. */
    private static function usesLine(Response $response): bool
    {
        foreach (Part::expressions($response->parts) as $one) {
            if ($one->readsLine()) {
                return true;
            }
        }

        return false;
    }

    /** @return array{list<string>, list<int>} what is written out in its slots */
    private static function compared(Response $response): array
    {
        $texts = [];
        $numbers = [];
        foreach (Part::expressions($response->parts) as $one) {
            $value = $one instanceof Literal ? $one->value : null;
            if (is_string($value)) {
                $texts[] = $value;
            } elseif (is_int($value)) {
                array_push($numbers, $value - 1, $value, $value + 1);
            }
        }

        return [array_slice(array_unique($texts), 0, 20), array_slice(array_unique($numbers), 0, 30)];
    }

    /**
     * @param  list<string>  $texts
     * @param  list<int>  $numbers
     * @return non-empty-list<string>
     */
    private static function lines(string $name, int $words, array $texts, array $numbers): array
    {
        $lines = [];
        foreach (self::LETTERS as $letter) {
            // What would be more than any saying may be is tried shorter.
            foreach ([1, 0.65, 0.5, 0.33] as $share) {
                $lines[] = str_repeat($letter, (int) ($words * $share));
            }
            $lines[] = mb_substr("@$name ".str_repeat($letter, $words), 0, $words);
            $lines[] = mb_substr("@$name 1 ".str_repeat($letter, $words), 0, $words);
        }
        $lines[] = mb_substr(str_repeat('999999999999999 ', 40), 0, $words);
        $lines[] = "@$name 999999999999999";
        $lines[] = '';
        foreach ([...$texts, ...$numbers] as $text) {
            $lines[] = mb_substr((string) $text, 0, $words);
            $lines[] = mb_substr("$text ".str_repeat('w', $words), 0, $words);
        }

        return $lines;
    }

    /** @return list<string> */
    private static function ofTheLine(string $typed): array
    {
        $length = mb_strlen($typed);

        return match (true) {
            $typed === '' => ['nothing is typed'],
            $length <= 40 => ["“{$typed}” is typed"],
            default => ['“'.mb_substr($typed, 0, 12)."…” is typed, $length characters"],
        };
    }
}
