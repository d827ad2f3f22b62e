<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

/** What somebody brings, as rows: JSON, comma-separated values with the names of their columns, or lines. */
final readonly class BroughtText
{
    /** Rows that are taken at once. */
    public const ROWS = 10_000;

    /** Bytes of what is brought. */
    public const BYTES = 4_000_000;

    /**
     * @param  list<array<string, string>>  $rows  by column
     * @param  string  $problem  why it cannot be read; empty where it can
     */
    private function __construct(public array $rows, public string $problem = '')
    {
    }

    public static function read(string $text, Transfer $transfer): self
    {
        $text = trim($text, "\u{FEFF} \r\n");
        $read = match (true) {
            $text === '' => new self([], 'There is nothing in it.'),
            $text[0] === '[' && is_array(json_decode($text, true, 8)) => self::json($text, $transfer),
            $text[0] === '{' => new self([], 'A JSON document of these is a list: it begins with “[”.'),
            default => self::table($text, $transfer),
        };

        return count($read->rows) > self::ROWS
            ? new self([], 'There are '.number_format(count($read->rows)).' rows; at most '
                .number_format(self::ROWS).' are taken at once.')
            : $read;
    }

    private static function json(string $text, Transfer $transfer): self
    {
        $rows = [];
        foreach ((array) json_decode($text, true, 8) as $at => $one) {
            if (is_scalar($one)) {
                $rows[] = [$transfer->main() => self::written($one)];

                continue;
            }
            $unknown = array_diff(array_keys((array) $one), $transfer->columns());
            if (! is_array($one) || $unknown !== []) {
                return new self([], 'Entry '.((int) $at + 1).' has “'.implode('”, “', array_map(strval(...), $unknown))
                    .'”; these have '.implode(', ', $transfer->columns()).'.');
            }
            $row = [];
            foreach ($one as $column => $value) {
                if ($value !== null) {
                    $row[(string) $column] = is_scalar($value) ? self::written($value) : '';
                }
            }
            $rows[] = $row;
        }

        return new self($rows);
    }

    private static function table(string $text, Transfer $transfer): self
    {
        $first = strtok($text, "\n") ?: '';
        foreach ([',', "\t", ';'] as $separator) {
            $names = array_map(
                static fn (string $name): string => strtolower(trim($name)),
                Csv::read($first, $separator)[0] ?? [],
            );
            if ($names !== [] && array_diff($names, $transfer->columns()) === []) {
                return self::columns(array_slice(Csv::read($text, $separator), 1), $names);
            }
        }

        return self::lines($text, $transfer);
    }

    /**
     * @param  list<list<string>>  $cells
     * @param  list<string>  $names
     */
    private static function columns(array $cells, array $names): self
    {
        $rows = [];
        foreach ($cells as $line) {
            $rows[] = array_combine(
                array_slice($names, 0, count($line)),
                array_slice($line, 0, count($names)),
            );
        }

        return new self($rows);
    }

    /** One a line; what stands behind a tab is the next column. */
    private static function lines(string $text, Transfer $transfer): self
    {
        $columns = [$transfer->main(), ...array_diff($transfer->columns(), [$transfer->main()])];
        $rows = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            if (trim($line) !== '') {
                $cells = array_map(trim(...), array_slice(explode("\t", $line), 0, count($columns)));
                $rows[] = array_combine(array_slice($columns, 0, count($cells)), $cells);
            }
        }

        return new self($rows);
    }

    private static function written(bool|float|int|string $value): string
    {
        return match ($value) {
            true => 'yes',
            false => 'no',
            default => (string) $value,
        };
    }
}
