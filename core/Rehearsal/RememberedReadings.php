<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Ranking;
use SilverParrot\Source\Fold;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

/** What has to be searched for in memory, quotes and who has the most. The rest is asked of others. */
final readonly class RememberedReadings implements Readings
{
    /**
     * @param  list<Quote>  $quotes  in the order of their numbers
     */
    public function __construct(private Readings $others, private array $quotes, private Ranking $ranking)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        return match ($request->subject) {
            'quote' => $this->quote($request),
            'top' => $this->top($request),
            default => $this->others->read($request),
        };
    }

    private function quote(Request $request): int|Quote|null
    {
        if (str_starts_with($request->name, 'number ')) {
            $number = (int) substr($request->name, 7);

            return array_values(
                array_filter($this->quotes, static fn (Quote $quote): bool => $quote->number === $number),
            )[0] ?? null;
        }
        $found = array_values(
            array_filter($this->quotes, static fn (Quote $quote): bool => self::has($quote, $request->of)),
        );

        return $request->name === 'count' ? count($found) : $found[(int) substr($request->name, 3) - 1] ?? null;
    }

    /** Whether all words are in it, or in the name of who said it. */
    private static function has(Quote $quote, string $words): bool
    {
        $text = Fold::caseless("{$quote->text} {$quote->by}");
        foreach (preg_split('/[\s\p{Z}]++/u', Fold::caseless($words), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (! str_contains($text, $word)) {
                return false;
            }
        }

        return true;
    }

    private function top(Request $request): ListValue
    {
        $best = $this->ranking->top(Fold::caseless($request->name), (int) $request->of);

        return new ListValue(array_column($best, 0), array_column($best, 1));
    }
}
