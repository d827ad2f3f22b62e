<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Quotes;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Memory\Ranking;
use SilverParrot\Source\Fold;
use SilverParrot\Value\ListValue;

/** Answers what has to be searched for in memory: quotes, and who has the most of something. */
final readonly class SearchedReadings
{
    public function __construct(private Quotes $quotes, private Ranking $ranking)
    {
    }

    public function has(Request $request): bool
    {
        return $request->subject === 'quote' || $request->subject === 'top';
    }

    public function read(Request $request): int|Quote|ListValue|null
    {
        return $request->subject === 'top' ? $this->top($request) : $this->quote($request);
    }

    private function quote(Request $request): int|Quote|ListValue|null
    {
        [$what, $number] = explode(' ', $request->name, 2) + [1 => '0'];
        $search = $request->search ?? QuoteSearch::all();

        return match ($what) {
            'number' => $this->quotes->numbered((int) $number),
            'newest' => $this->quotes->newest(),
            'numbers' => new ListValue($this->quotes->numbers()),
            'count' => $this->quotes->count($search),
            default => $this->quotes->at($search, (int) $number),
        };
    }

    private function top(Request $request): ListValue
    {
        $without = explode("\n", $request->arguments['without'] ?? '');
        $best = $this->ranking->top(Fold::caseless($request->name), (int) $request->of, $without);

        return new ListValue(array_column($best, 0), array_column($best, 1));
    }
}
