<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\QuoteOrder;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

/** `quote`, `quote 12`, `quote words`, `quote by=target`, `quote.newest`: one for equal arguments within a response. */
final readonly class QuoteName extends Name implements Remembering
{
    private const TELLS = [
        'number' => ['a whole number', 'Its number, which it keeps for good.'],
        'text' => ['a text', 'What was said.'],
        'by' => ['a text', 'Who said it; nothing where nobody wrote it down.'],
        'category' => ['a text', 'What the stream was busy with.'],
        'date' => ['a moment', 'When it was said.'],
        'link' => ['a text', 'The address kept with it; nothing where there is none.'],
        'kept_by' => ['a text', 'Who kept it; nothing where that is not known.'],
        'newest' => ['a quote', 'The quote that was kept last.'],
    ];

    private const PARTS = ['number', 'text', 'by', 'category', 'date', 'link', 'kept_by'];

    /** No name is called so: which quote was drawn in this saying. */
    private const DRAWN = "\xFFquote";

    public function describe(): Description
    {
        return new Description(
            'quote',
            'a number, or words that are in it; by= and a person for theirs alone',
            'a quote, said as its text',
            '“[quote]”',
            'A random quote; with a number that one, with words one that has them; quote.newest is the last.',
            parts: array_keys(self::TELLS),
            tells: self::TELLS,
            also: ['saying', 'wisdom', 'memory'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        $isNewest = ($call->folded[1] ?? '') === 'newest';

        return match (true) {
            isset($call->path[3]) || (isset($call->path[2]) && ! $isNewest) => [
                Checking::unknownPart($call, 2, $isNewest ? self::PARTS : []),
            ],
            isset($call->path[2]) && ! in_array($call->folded[2], self::PARTS, true) => [
                Checking::unknownPart($call, 2, self::PARTS),
            ],
            isset($call->path[1]) && ! isset(self::TELLS[$call->folded[1]]) => [
                Checking::unknownPart($call, 1, array_keys(self::TELLS)),
            ],
            $isNewest => Checking::takesNothing($call),
            count($call->operands) > 1, array_diff(array_keys($call->named), ['by']) !== [], $call->for !== null => [
                ...Checking::takesNothing($call),
            ],
            default => [],
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $pattern = $in->pack->quotes->dates;
        $estimate = match (self::partOf($call)) {
            'number' => ValueEstimate::whole(Range::ofACount(1)),
            'by', 'kept_by' => ValueEstimate::text(1, Limits::QUOTE_BY),
            'category', 'link', 'text' => ValueEstimate::text(1, Limits::READING),
            'date' => $pattern === '' ? $in->lengths->moment() : self::dated($in, $pattern),
            // A quote as a whole is said as its text, and is none.
            default => ValueEstimate::text(1, Limits::READING)->neverReadAs(
                ValueKind::Number,
                ValueKind::TimeSpan,
                ValueKind::Moment,
            ),
        };

        return $estimate->orNothing()->orGap(GapReason::NotSearched);
    }

    private static function dated(EstimateContext $in, string $pattern): ValueEstimate
    {
        $written = $in->lengths->date($pattern);

        return ValueEstimate::of(ValueKind::Moment, $written->shortest, $written->longest);
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function lastParts(): array
    {
        return self::PARTS;
    }

    /** One quote for equal arguments, and so one value; what cannot be told apart is another. */
    public function key(Call $call): ?string
    {
        return $call->isPlain() ? implode('.', $call->folded) : null;
    }

    public function mayRead(Call $call): bool
    {
        return $call->operands === [] && $call->named === [];
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $isDrawn = ($call->folded[1] ?? '') !== 'newest';

        return $isDrawn && $run->world->pack->quotes->allOnce ? [Key::quotePosition()] : [];
    }

    public function whenNothing(Call $call, Pack $pack): string
    {
        return 'there is no such quote';
    }

    public function prepared(Call $call): Closure
    {
        $part = self::partOf($call);
        $isNewest = ($call->folded[1] ?? '') === 'newest';
        $asked = ($call->operands[0] ?? null)?->prepared();
        $by = ($call->named['by'] ?? null)?->prepared();

        return static function (
            EvaluationContext $run,
        ) use ($part, $asked, $by, $isNewest): null|int|string|Quote|Moment|Gap {
            $quote = $isNewest
                ? self::read(Request::newestQuote(), $run)
                : self::quote($asked === null ? null : $asked($run), $by === null ? null : [$by($run)], $run);

            return $quote instanceof Quote ? self::part($quote, $part, $run) : $quote;
        };
    }

    private static function partOf(Call $call): string
    {
        return ($call->folded[1] ?? '') === 'newest' ? $call->folded[2] ?? '' : $call->folded[1] ?? '';
    }

    private static function part(Quote $quote, string $part, EvaluationContext $run): null|int|string|Quote|Moment
    {
        $text = static fn (string $text): ?string => $text === '' ? null : $text;

        return match ($part) {
            '' => $quote,
            'number' => $quote->number,
            'by' => $text($quote->by),
            'category' => $text($quote->category),
            'date' => $quote->date?->writtenBy($run->world->pack->quotes->dates),
            'link' => $text($quote->link),
            'kept_by' => $text($quote->keptBy),
            default => $quote->text,
        };
    }

    /** @param  array{null|bool|int|string|Value}|null  $by  null where nobody is asked for */
    private static function quote(
        null|bool|int|string|Value $asked,
        ?array $by,
        EvaluationContext $run,
    ): Quote|Gap|null {
        if ($asked instanceof Gap) {
            return $asked;
        }
        $words = $run->print($asked);
        // People write the number with a sign before it.
        $number = is_int($asked) ? $asked : Number::typed(ltrim(trim($words), '#'));
        if (is_int($number) && $by === null) {
            return self::read(Request::quote($number), $run);
        }
        $search = QuoteSearch::words(mb_substr($words, 0, Limits::READING));
        if ($by !== null) {
            $who = $by[0];
            if ($who === null || $who instanceof Gap) {
                return $who;
            }
            $search = $who instanceof Person
                ? $search->by($who->name, $who->login)
                : $search->by(ltrim($run->print($who), '@'));
        }
        if ($search->isForAll() && $run->world->pack->quotes->allOnce) {
            return self::next($run);
        }
        $count = $run->read(Request::quotes($search));
        if (! is_int($count) || $count < 1) {
            return $count instanceof Gap ? $count : null;
        }
        // Luck hangs on what is asked alone, so that two slots that ask for the same have the same quote.
        $luck = implode(' ', $search->words).($search->by === [] ? '' : "\xFE".implode("\xFE", $search->by));
        $place = $run->world->chance->at("quote \xFF$luck")->getInt(1, $count);

        return self::read(Request::quoteAt($place, $search), $run);
    }

    /** The next of all in their shuffled order, of which each comes once before one comes again. */
    private static function next(EvaluationContext $run): Quote|Gap|null
    {
        $drawn = $run->bound(self::DRAWN);
        if (is_int($drawn)) {
            return self::read(Request::quote($drawn), $run);
        }
        $key = Key::quotePosition();
        $numbers = $run->read(Request::quoteNumbers());
        if (! $run->knows($key) || $numbers instanceof Gap) {
            return $numbers instanceof Gap ? $numbers : Gap::pending();
        }
        $numbers = $numbers instanceof ListValue ? array_filter($numbers->items, is_int(...)) : [];
        if ($numbers === []) {
            return null;
        }
        $kept = $run->memory()->value($key);
        $after = QuoteOrder::next(
            array_values($numbers),
            is_array($kept) ? $kept : [],
            static fn (): string => bin2hex($run->world->chance->at("quote \xFF")->getBytes(8)),
        );
        $run->change(new Change($key, $kept, $after, 'quote', 'channel'));
        $run->bind(self::DRAWN, $after['last']);

        return self::read(Request::quote($after['last']), $run);
    }

    private static function read(Request $request, EvaluationContext $run): Quote|Gap|null
    {
        $quote = $run->read($request);

        return $quote instanceof Quote || $quote instanceof Gap ? $quote : null;
    }
}
