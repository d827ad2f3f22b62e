<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Quote;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

/** `quote`, `quote 12`, `quote words`: one quote for equal arguments within a response. */
final readonly class QuoteName extends Name
{
    private const TELLS = [
        'number' => ['a whole number', 'Its number, which it keeps for good.'],
        'text' => ['a text', 'What was said.'],
        'by' => ['a text', 'Who said it; nothing where nobody wrote it down.'],
        'category' => ['a text', 'What the stream was busy with.'],
        'date' => ['a moment', 'When it was said.'],
    ];

    public function describe(): Description
    {
        return new Description(
            'quote',
            'a number, or words that are in it',
            'a quote, said as its text',
            '“[quote]”',
            'A random quote; with a number that one, with words one that has them in it.',
            parts: array_keys(self::TELLS),
            tells: self::TELLS,
            later: 'no quotes are kept yet, so on the air it has no value; rehearsals have those of their memory.',
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            isset($call->path[2]), isset($call->path[1]) && ! isset(self::TELLS[$call->folded[1]]) => [
                Checking::unknownPart($call, isset($call->path[2]) ? 2 : 1, array_keys(self::TELLS)),
            ],
            count($call->operands) > 1 || $call->named !== [] || $call->for !== null => Checking::takesNothing($call),
            default => [],
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $estimate = match ($call->folded[1] ?? '') {
            'number' => ValueEstimate::whole(Range::ofACount(1)),
            'by' => ValueEstimate::text(1, $in->profile->longestName),
            'category' => ValueEstimate::text(1, Limits::READING),
            'date' => $in->lengths->moment(),
            'text' => ValueEstimate::text(1, Limits::READING),
            // A quote as a whole is said as its text, and is none.
            default => ValueEstimate::text(1, Limits::READING)->neverReadAs(
                ValueKind::Number,
                ValueKind::TimeSpan,
                ValueKind::Moment,
            ),
        };

        return $estimate->orNothing()->orGap(GapReason::NotSearched);
    }

    public function prepared(Call $call): Closure
    {
        $part = $call->folded[1] ?? '';
        $asked = ($call->operands[0] ?? null)?->prepared();

        return static function (EvaluationContext $run) use ($part, $asked): null|int|string|Quote|Moment|Gap {
            $quote = self::quote($asked === null ? null : $asked($run), $run);

            return $quote instanceof Quote ? self::part($quote, $part) : $quote;
        };
    }

    private static function part(Quote $quote, string $part): null|int|string|Quote|Moment
    {
        return match ($part) {
            '' => $quote,
            'number' => $quote->number,
            'by' => $quote->by === '' ? null : $quote->by,
            'category' => $quote->category === '' ? null : $quote->category,
            'date' => $quote->date,
            default => $quote->text,
        };
    }

    private static function quote(null|bool|int|string|Value $asked, EvaluationContext $run): Quote|Gap|null
    {
        if ($asked instanceof Gap) {
            return $asked;
        }
        $words = $run->print($asked);
        $number = is_int($asked) ? $asked : Number::typed($words);
        if (is_int($number)) {
            return self::read(Request::quote($number), $run);
        }
        $words = Fold::isBlank($words) ? '' : Fold::caseless(mb_substr($words, 0, Limits::READING));
        $count = $run->read(Request::quotes($words));
        if (! is_int($count) || $count < 1) {
            return $count instanceof Gap ? $count : null;
        }
        // Luck hangs on the words alone, so that two slots that ask for the same have the same quote.
        $place = $run->world->chance->at("quote \xFF$words")->getInt(1, $count);

        return self::read(Request::quoteAt($place, $words), $run);
    }

    private static function read(Request $request, EvaluationContext $run): Quote|Gap|null
    {
        $quote = $run->read($request);

        return $quote instanceof Quote || $quote instanceof Gap ? $quote : null;
    }
}
