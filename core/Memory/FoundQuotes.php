<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;

/** Found in a memory that is all at hand. */
final readonly class FoundQuotes implements Quotes
{
    /**
     * @param  Closure(): array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id, looked at only
     *     when somebody asks
     */
    public function __construct(private Closure $memory)
    {
    }

    public function count(QuoteSearch $search): int
    {
        return count($this->found($search));
    }

    public function at(QuoteSearch $search, int $place): ?Quote
    {
        return $this->found($search)[$place - 1] ?? null;
    }

    public function numbered(int $number): ?Quote
    {
        return Quote::fromRecord($number, ($this->memory)()[Key::quote($number)->id()] ?? null);
    }

    public function newest(): ?Quote
    {
        $numbers = $this->numbers();

        return $numbers === [] ? null : $this->numbered($numbers[count($numbers) - 1]);
    }

    public function numbers(): array
    {
        return array_map(static fn (Quote $quote): int => $quote->number, $this->found(QuoteSearch::all()));
    }

    /** @return list<Quote> by their numbers */
    private function found(QuoteSearch $search): array
    {
        $found = [];
        foreach (($this->memory)() as $id => $record) {
            $key = Key::fromId((string) $id);
            $quote = $key?->kind === Kind::Quote ? Quote::fromRecord((int) $key->name, $record) : null;
            if ($quote !== null && $search->finds($quote)) {
                $found[$quote->number] = $quote;
            }
        }
        ksort($found);

        return array_values($found);
    }
}
