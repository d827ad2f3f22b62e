<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

/**
 * A text that somebody brings along: lines "trigger, text", or a CSV (RFC 4180) with a comma, a semicolon, a tab or a
 * bar between its cells.
 */
final readonly class PastedTable
{
    public const MOST_ROWS = 500;

    private const MOST_COLUMNS = 12;

    private const LONGEST = 1_000_000;

    /**
     * @param  list<list<string>>  $rows  each with as many cells as there are columns
     * @param  bool  $isCut  whether there were more rows than are taken
     */
    private function __construct(
        public array $rows,
        public int $columns,
        public bool $isCut,
    ) {
    }

    public static function read(string $pasted): self
    {
        $pasted = (string) preg_replace('/^\x{FEFF}/u', '', mb_scrub(mb_strcut($pasted, 0, self::LONGEST)));
        $best = [];
        $width = 0;
        foreach (["\t", ',', ';', '|'] as $separator) {
            $rows = self::lines(self::cells($pasted, $separator), $separator);
            // The separator that divides most rows into the same number of cells is the one.
            $widths = array_count_values(array_map(count(...), $rows));
            unset($widths[1]);
            $alike = $widths === [] ? 0 : max($widths);
            if ($alike * 2 > count($rows) && $alike > $width) {
                [$best, $width] = [$rows, $alike];
            }
        }
        if ($best === []) {
            $best = self::firstWords($pasted);
        }
        $columns = min(self::MOST_COLUMNS, max([1, ...array_map(count(...), $best)]));
        $rows = array_map(
            static fn (array $row): array => array_slice(array_pad($row, $columns, ''), 0, $columns),
            array_slice($best, 0, self::MOST_ROWS),
        );

        return new self($rows, $columns, count($best) > self::MOST_ROWS);
    }

    /**
     * With the spaces around cells taken away, and empty rows left out. Rows of different lengths are no table: they
     * are a trigger and a text that has separators of its own, and no part of it is lost.
     *
     * @param  list<list<string>>  $cells
     * @return list<list<string>>
     */
    private static function lines(array $cells, string $separator): array
    {
        $rows = array_values(array_filter($cells, static fn (array $row): bool => trim(implode('', $row)) !== ''));
        if (array_filter($rows, static fn (array $row): bool => count($row) > 1) === []) {
            return $rows;
        }
        $isRagged = count(array_unique(array_map(count(...), $rows))) > 1;
        $words = array_filter($rows, static fn (array $row): bool => preg_match('/^\s*+\S++\s*+$/Du', $row[0]) === 1);
        // A comma with a space behind it is prose, a comma alone divides a table.
        $isProse =
            array_filter(
                $rows,
                static fn (array $row): bool => array_filter(
                    array_slice($row, 2),
                    static fn (string $cell): bool => ! str_starts_with($cell, ' '),
                ) !== [],
            ) === [];
        $isTable = ! $isRagged && count(array_filter($rows[0] ?? [], ImportColumn::isHeading(...))) > 1;
        if (($isRagged || $isProse) && ! $isTable && count($words) === count($rows)) {
            $rows = array_map(
                static fn (array $row): array => [$row[0], implode($separator, array_slice($row, 1))],
                $rows,
            );
        }

        return array_map(static fn (array $row): array => array_map(trim(...), $row), $rows);
    }

    /** @return list<list<string>> by RFC 4180; a quote mark that is never closed is one of the text */
    public static function cells(string $pasted, string $separator): array
    {
        $rows = [];
        $open = [];
        $lines = preg_split('/\R/u', $pasted) ?: [];
        [$isOdd, $isQuoted] = [false, false];
        for ($at = 0; $at < count($lines); $at++) {
            // Told line by line: to look through the whole record at each of its lines takes minutes where it is long.
            $start = $open === [] ? '^|' : '';
            $isOdd = $isOdd !== (substr_count($lines[$at], '"') % 2 === 1);
            $isQuoted = $isQuoted
                || preg_match("/(?:$start".preg_quote($separator, '/').')[ ]*+"/', $lines[$at]) === 1;
            $open[] = $lines[$at];
            // A cell in quotes may go on over lines: the record ends where its quotes are even.
            $goesOn = $isOdd && $isQuoted;
            if ($goesOn && $at + 1 < count($lines)) {
                continue;
            }
            if ($goesOn && count($open) > 1) {
                // It never ended: each of its lines stands for itself.
                $at -= count($open) - 1;
                $open = [$open[0]];
            }
            $rows[] = array_map(strval(...), str_getcsv(implode("\n", $open), $separator, '"', ''));
            $open = [];
            [$isOdd, $isQuoted] = [false, false];
        }

        return $rows;
    }

    /**
     * With tabs between the cells, read back as the same cells.
     *
     * @param  list<list<string>>  $rows
     */
    public static function written(array $rows): string
    {
        $cell = static fn (string $cell): string => preg_match('/["\t\r\n,;|]/', $cell) === 1
            ? '"'.str_replace('"', '""', $cell).'"'
            : $cell;

        return implode("\n", array_map(static fn (array $row): string => implode("\t", array_map($cell, $row)), $rows));
    }

    /** @return list<list<string>> lines without any separator: the first word, and the rest */
    private static function firstWords(string $pasted): array
    {
        $rows = [];
        foreach (preg_split('/\R/u', $pasted) ?: [] as $line) {
            $parts = preg_split('/\s+/u', trim($line), 2) ?: [];
            if (($parts[0] ?? '') !== '') {
                $rows[] = [$parts[0], $parts[1] ?? ''];
            }
        }

        return $rows;
    }
}
