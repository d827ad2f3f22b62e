<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Source\Fold;

/** Quotes, each beside the words by which it is found. */
final class QuoteTexts extends Shelf
{
    /** Words that one statement puts in. */
    private const AT_ONCE = 5_000;

    public function __construct()
    {
        parent::__construct('quotes', 'number');
    }

    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void
    {
        parent::keep($connection, $channel, $changes, $viewers);
        $numbers = array_map(static fn (Change $change): int => (int) $change->key->name, $changes);
        $connection->delete(
            'DELETE FROM quote_words WHERE channel_id = ? AND number IN ('
                .implode(',', array_fill(0, count($numbers), '?'))
                .')',
            [$channel, ...$numbers],
        );
        $rows = [];
        foreach ($changes as $change) {
            $number = (int) $change->key->name;
            $quote = Quote::fromRecord($number, $change->to);
            foreach ($quote === null ? [] : QuoteSearch::wordsOf($quote) as $word) {
                $rows[] = [$channel, $word, $number];
            }
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            $connection->insert(
                'INSERT INTO quote_words (channel_id, word, number) VALUES '
                    .implode(',', array_fill(0, count($some), '(?,?,?)')),
                array_merge(...$some),
            );
        }
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        $quote = Quote::fromRecord(0, $value);

        return $quote === null
            ? []
            : [
                'text' => $quote->text,
                'credits' => $quote->by,
                'credits_folded' => Fold::caseless($quote->by),
                'link' => $quote->link,
                'category' => $quote->category,
                'said_at' => $quote->date?->iso() ?? '',
                'kept_by' => $quote->keptBy,
            ];
    }

    /** @return array<string, string> */
    protected function decode(array $row): array
    {
        return self::quote($row)?->record() ?? [];
    }

    /** @param  array<string, mixed>  $row */
    public static function quote(array $row): ?Quote
    {
        return Quote::fromRecord(is_int($row['number'] ?? null) ? $row['number'] : 0, [
            'text' => $row['text'] ?? '',
            'by' => $row['credits'] ?? '',
            'link' => $row['link'] ?? '',
            'category' => $row['category'] ?? '',
            'date' => $row['said_at'] ?? '',
            'kept_by' => $row['kept_by'] ?? '',
        ]);
    }
}
