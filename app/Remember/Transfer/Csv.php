<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

/**
 * Rows as comma-separated values, as RFC 4180 has them. What a spreadsheet would take for a formula is written behind
 * an apostrophe, and read without it.
 */
final class Csv
{
    private const FORMULA = ['=', '+', '-', '@', "\t", "\r"];

    /** @return list<list<string>> without empty lines */
    public static function read(string $text, string $separator = ','): array
    {
        $file = fopen('php://temp', 'r+b');
        if ($file === false) {
            return [];
        }
        fwrite($file, preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? '');
        rewind($file);
        $rows = [];
        while (is_array($row = fgetcsv($file, null, $separator, '"', ''))) {
            if ($row !== [null]) {
                $rows[] = array_map(self::withoutMark(...), $row);
            }
        }
        fclose($file);

        return $rows;
    }

    /** @param  list<int|string>  $row */
    public static function line(array $row): string
    {
        return implode(
            ',',
            array_map(static function (int|string $cell): string {
                $cell = is_string($cell) && in_array($cell[0] ?? '', self::FORMULA, true) ? "'$cell" : (string) $cell;

                return strpbrk($cell, "\",\r\n") === false ? $cell : '"'.str_replace('"', '""', $cell).'"';
            }, $row),
        )."\r\n";
    }

    private static function withoutMark(?string $cell): string
    {
        return is_string($cell) && ($cell[0] ?? '') === "'" && in_array($cell[1] ?? '', self::FORMULA, true)
            ? substr($cell, 1)
            : (string) $cell;
    }
}
