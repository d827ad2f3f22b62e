<?php

declare(strict_types=1);

namespace Tests\Core\Pack\Import;

use PHPUnit\Framework\TestCase;
use SilverParrot\Pack\Import\ImportColumn;
use SilverParrot\Pack\Import\ImportColumns;
use SilverParrot\Pack\Import\PastedTable;
use Tests\Outside;

final class PastedTableTest extends TestCase
{
    public function test_lines_and_tables_are_told_apart_and_the_columns_guessed(): void
    {
        $lines = PastedTable::read(
            "!tide, High water at four.\n\n!knot, Tie us a bowline, [caller].\n!dry,Not a drop\n",
        );
        self::assertSame(['!tide', 'High water at four.'], $lines->rows[0]);
        self::assertSame(['!knot', 'Tie us a bowline, [caller].'], $lines->rows[1], 'commas in a text are its own');
        self::assertSame([['!a', 'one, two']], PastedTable::read('!a, one, two')->rows);
        $table = PastedTable::read(
            "\u{FEFF}on;seconds;trigger;what is said\nyes;10;!tide;\"High; water\nat four\"\nno;5;!knot;He said "
                .'""tie"" it',
        );
        $columns = ImportColumns::guess($table);
        self::assertSame(
            [2, 3, 4],
            [$columns->of(ImportColumn::Trigger), $columns->of(ImportColumn::Response), $table->columns],
        );
        self::assertSame("High; water\nat four", $table->rows[1][3]);
        $words = PastedTable::read("!tide High water at four\n!knot tie us one");
        self::assertSame([['!tide', 'High water at four'], ['!knot', 'tie us one']], $words->rows);
        self::assertSame([], PastedTable::read(" \n\t\n")->rows);
    }

    public function test_an_unclosed_quote_swallows_no_other_line_and_too_much_is_cut_and_said(): void
    {
        self::assertSame(
            [['!a', '"never closed'], ['!b', 'second']],
            array_map(
                static fn (array $row): array => [$row[0], str_starts_with($row[1], 'never') ? '"'.$row[1] : $row[1]],
                PastedTable::read("!a, \"never closed\n!b, second")->rows,
            ),
        );
        $many = PastedTable::read(str_repeat("!a, x\n", PastedTable::MOST_ROWS + 3));
        self::assertSame([PastedTable::MOST_ROWS, true], [count($many->rows), $many->isCut]);
    }

    /** npm csv-spectrum, 11 of its 12 cases: csvs/*.csv against json/*.json, whose first row names the columns. */
    public function test_cells_are_read_by_rfc_4180(): void
    {
        $folder = dirname(__DIR__, 4).'/node_modules/csv-spectrum';
        $files = glob("$folder/csvs/*.csv") ?: [];
        self::assertCount(12, $files, 'bin/parrot test installs it');
        foreach ($files as $file) {
            $name = basename($file, '.csv');
            if ($name === 'location_coordinates') {
                // Its two files say different things, and neither is UTF-8.
                continue;
            }
            /** @var list<array<string, string>> $expected */
            $expected = json_decode((string) file_get_contents("$folder/json/$name.json"), true);
            $rows = PastedTable::cells(rtrim((string) file_get_contents($file), "\r\n"), ',');
            $heading = array_shift($rows) ?? [];
            // Line ends inside cells are one "\n" here, whatever the file has.
            self::assertSame(
                array_map(
                    static fn (array $row): array => array_map(
                        static fn (string $cell): string => str_replace("\r\n", "\n", $cell),
                        array_values($row),
                    ),
                    $expected,
                ),
                $rows,
                $name,
            );
            self::assertSame(array_keys($expected[0]), $heading, $name);
        }
    }

    public function test_hostile_strings_are_cells_like_any_other(): void
    {
        foreach (Outside::hostileStrings() as $string) {
            $brought = PastedTable::read("!a, $string\n!b, x");
            self::assertLessThanOrEqual(12, $brought->columns);
            foreach ($brought->rows as $row) {
                self::assertCount($brought->columns, $row);
            }
        }
    }
}
