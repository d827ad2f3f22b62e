<?php

declare(strict_types=1);

namespace App\Storage;

use App\Storage\Shelves\QuoteTexts;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Quotes;
use SilverParrot\Memory\QuoteSearch;

/** Found by the database, by the words that stand beside the quotes of one channel. */
final readonly class MariaDbQuotes implements Quotes
{
    public function __construct(private Connection $connection, private int $channel)
    {
    }

    public function count(QuoteSearch $search): int
    {
        [$where, $values] = $this->where($search);
        $count = $this->connection->scalar("SELECT COUNT(*) FROM quotes q WHERE $where", $values);

        return is_numeric($count) ? (int) $count : 0;
    }

    public function at(QuoteSearch $search, int $place): ?Quote
    {
        return $this->some($search, $place - 1, 1)[0] ?? null;
    }

    public function numbered(int $number): ?Quote
    {
        return $this->rows('q.channel_id = ? AND q.number = ?', [$this->channel, $number], 'ASC', 0, 1)[0] ?? null;
    }

    public function newest(): ?Quote
    {
        return $this->some(QuoteSearch::all(), 0, 1, isNewestFirst: true)[0] ?? null;
    }

    public function numbers(): array
    {
        $numbers = [];
        foreach (
            $this->connection->select('SELECT number FROM quotes WHERE channel_id = ? ORDER BY number', [
                $this->channel,
            ]) as $row
        ) {
            /** @var object{number: int} $row */
            $numbers[] = $row->number;
        }

        return $numbers;
    }

    /** @return list<Quote> */
    public function some(QuoteSearch $search, int $from, int $most, bool $isNewestFirst = false): array
    {
        return $this->rows(...[...$this->where($search), $isNewestFirst ? 'DESC' : 'ASC', $from, $most]);
    }

    /**
     * @param  list<int|string>  $values
     * @return list<Quote>
     */
    private function rows(string $where, array $values, string $order, int $from, int $most): array
    {
        $quotes = [];
        foreach (
            $this->connection->select(
                "SELECT q.* FROM quotes q WHERE $where ORDER BY q.number $order LIMIT $most OFFSET ".max(0, $from),
                $values,
            ) as $row
        ) {
            /** @var array<string, mixed> $row */
            $row = (array) $row;
            $quotes[] = QuoteTexts::quote($row);
        }

        return array_values(array_filter($quotes));
    }

    /** @return array{string, list<int|string>} */
    private function where(QuoteSearch $search): array
    {
        $where = 'q.channel_id = ?';
        $values = [$this->channel];
        if ($search->by !== []) {
            $where .= ' AND q.credits_folded IN ('.implode(',', array_fill(0, count($search->by), '?')).')';
            array_push($values, ...$search->by);
        }
        foreach ($search->words as $word) {
            $where .= ' AND q.number IN (SELECT w.number FROM quote_words w WHERE w.channel_id = ? AND w.word LIKE ?)';
            array_push($values, $this->channel, addcslashes($word, '%_\\').'%');
        }

        return [$where, $values];
    }
}
