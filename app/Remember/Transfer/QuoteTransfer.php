<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\MariaDbQuotes;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\KeptQuotes;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/** Quotes. Those without a number get the next ones; one with a number that is there becomes what is brought. */
final readonly class QuoteTransfer implements Transfer
{
    private const LONGEST = [
        'text' => Limits::READING,
        'by' => Limits::QUOTE_BY,
        'link' => Limits::READING,
        'category' => 100,
        'kept_by' => Limits::QUOTE_BY,
    ];

    private const AT_ONCE = 1_000;

    public function __construct(private Connection $connection, private MemoryEditor $memory)
    {
    }

    public function key(): string
    {
        return 'quotes';
    }

    public function many(): string
    {
        return 'quotes';
    }

    public function columns(): array
    {
        return ['number', 'text', 'by', 'date', 'category', 'link', 'kept_by'];
    }

    public function main(): string
    {
        return 'text';
    }

    public function rows(Channel $channel): iterable
    {
        $quotes = new MariaDbQuotes($this->connection, $channel->id);
        for ($from = 0, $some = [0]; $some !== []; $from += self::AT_ONCE) {
            $some = $quotes->some(QuoteSearch::all(), $from, self::AT_ONCE);
            foreach ($some as $quote) {
                yield ['number' => $quote->number] + $quote->record();
            }
        }
    }

    public function look(Channel $channel, array $rows): array
    {
        $here = $this->here($channel, $rows);
        $zone = new \DateTimeZone($channel->zone);
        $looked = [];
        $taken = [];
        foreach ($rows as $row) {
            $told = mb_substr($row['text'] ?? '', 0, 200);
            $number = ltrim($row['number'] ?? '', '#');
            [$date, $link] = [$row['date'] ?? '', trim($row['link'] ?? '')];
            $problem = match (true) {
                trim($row['text'] ?? '') === '' => 'It has no text.',
                $number !== '' && preg_match('/^[1-9]\d{0,14}$/D', $number) !== 1 => 'Its number is none from 1 on.',
                $number !== '' && isset($taken["#$number"]) => "Number $number comes twice.",
                $date !== '' && Moment::fromIso($date, $zone) === null => "“{$date}” is no date, like 2026-11-25.",
                $link !== '' && preg_match('#^https?://[^\s<>"]+$#D', $link) !== 1 => 'Its '
                    .'link is no address; one begins with https://.',
                default => self::tooLong($row),
            };
            if ($problem !== '') {
                $looked[] = BroughtRow::wrong($told, $problem);

                continue;
            }
            $taken["#$number"] = $number !== '' ? true : null;
            $quote = new Quote(
                (int) $number,
                trim($row['text'] ?? ''),
                trim($row['by'] ?? ''),
                trim($row['category'] ?? ''),
                $date === '' ? null : Moment::fromIso($date, $zone),
                $link,
                trim($row['kept_by'] ?? ''),
            );
            $was = $here[(int) $number] ?? null;
            $values = ['number' => $quote->number] + $quote->record();
            $looked[] = match (true) {
                $was === null => BroughtRow::new($told, $values),
                $was == $quote => BroughtRow::same($told),
                default => BroughtRow::changed($told, $values),
            };
        }

        return $looked;
    }

    public function keep(Channel $channel, array $rows, User $by): void
    {
        $numbers = array_filter(array_map(static fn (BroughtRow $row): int => self::number($row), $rows));
        $this->memory->change(
            $channel,
            $by,
            KeptQuotes::reads()->and(Reads::of(...array_map(Key::quote(...), array_values($numbers)))),
            static function (View $memory) use ($rows, $numbers): array {
                $next = max(KeptQuotes::nextNumber($memory), 1 + max([0, ...$numbers]));
                $changes = [];
                foreach ($rows as $row) {
                    $number = self::number($row);
                    $quote = Quote::fromRecord($number === 0 ? $next++ : $number, $row->values);
                    if ($quote !== null) {
                        $key = Key::quote($quote->number);
                        $changes[] = new Change(
                            $key,
                            $number === 0 ? null : $memory->value($key),
                            $quote->record(),
                            "quote {$quote->number}",
                            'channel',
                        );
                    }
                }
                $last = $memory->value(Key::lastQuote());

                return is_int($last) && $last >= $next - 1
                    ? $changes
                    : [...$changes, new Change(Key::lastQuote(), $last, $next - 1, 'quote', 'channel')];
            },
        );
    }

    private static function number(BroughtRow $row): int
    {
        return is_int($row->values['number'] ?? null) ? $row->values['number'] : 0;
    }

    /** @param  array<string, string>  $row */
    private static function tooLong(array $row): string
    {
        foreach (self::LONGEST as $column => $most) {
            if (mb_strlen($row[$column] ?? '') > $most) {
                return "Its $column has more than $most characters.";
            }
        }

        return '';
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @return array<int, Quote> by their numbers, of those that are named
     */
    private function here(Channel $channel, array $rows): array
    {
        $here = [];
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            $numbers = array_map(static fn (array $row): int => (int) ltrim($row['number'] ?? '', '#'), $some);
            $named = array_values(array_unique(array_filter($numbers)));
            $keys = array_map(Key::quote(...), $named);
            $memory = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of(...$keys));
            foreach ($named as $number) {
                $kept = $memory->value(Key::quote($number));
                $here[$number] = is_array($kept) ? Quote::fromRecord($number, $kept) : null;
            }
        }

        return array_filter($here);
    }
}
