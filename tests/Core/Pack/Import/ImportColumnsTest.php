<?php

declare(strict_types=1);

namespace Tests\Core\Pack\Import;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\Checks;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Import\CounterCommands;
use SilverParrot\Pack\Import\ImportCell;
use SilverParrot\Pack\Import\ImportColumn;
use SilverParrot\Pack\Import\ImportColumns;
use SilverParrot\Pack\Import\ImportedRow;
use SilverParrot\Pack\Import\ListCommands;
use SilverParrot\Pack\Import\PastedTable;
use SilverParrot\Pack\Import\PointsCommands;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

final class ImportColumnsTest extends TestCase
{
    public function test_columns_are_known_by_plain_headings_in_any_order(): void
    {
        $table = PastedTable::read(
            "Uses\tUser_Cooldown (min)\tReply\tTriggerWord\tWho may\tActive\n4\t2\tHigh water.\t!tide\tVIPs\tno",
        );
        $columns = ImportColumns::guess($table);
        self::assertTrue($columns->hasHeading);
        self::assertSame(
            [
                1 => ImportColumn::PersonCooldown,
                2 => ImportColumn::Response,
                3 => ImportColumn::Trigger,
                4 => ImportColumn::Level,
                5 => ImportColumn::Enabled,
            ],
            $columns->held,
        );
        self::assertSame([0], $columns->leftOver($table));
        self::assertSame([[1 => 'minutes'], []], [$columns->units, $columns->withoutUnit($table)]);
        self::assertEquals(
            [
                'trigger' => '!tide',
                'responses' => [['text' => 'High water.']],
                'group' => '',
                'note' => '',
                'aliases' => [],
                'cooldown' => ['person' => 120],
                'levels' => ['at_least' => 'vip'],
                'enabled' => false,
            ],
            ImportedRow::read($table->rows[1], $columns, null, null)->document,
        );
    }

    public function test_without_headings_only_what_is_plain_is_guessed(): void
    {
        $guess = static fn (string $pasted): array => ImportColumns::guess(PastedTable::read($pasted))->held;
        self::assertSame(
            [
                ImportColumn::Trigger,
                ImportColumn::Aliases,
                ImportColumn::Response,
                ImportColumn::Level,
                ImportColumn::Cooldown,
                ImportColumn::PersonCooldown,
            ],
            $guess("!tide\t!water !sea\tHigh water at four.\tmoderators\t10 s\t1 min\n!knot\t\tTie it.\teveryone\t\t"),
        );
        self::assertSame(
            [1 => ImportColumn::Trigger, 2 => ImportColumn::Response],
            $guess("12\t!tide\tHigh water.\t30\n7\t!knot\tTie it.\t4"),
            'numbers may be anything',
        );
        self::assertSame([ImportColumn::Trigger, ImportColumn::Response], $guess("command\tnot a heading\n!a\tb"));
        self::assertSame([ImportColumn::Trigger, ImportColumn::Response], $guess('!a'));
    }

    public function test_what_cannot_be_read_is_a_problem_of_its_row(): void
    {
        $table = PastedTable::read("trigger;reply;level;cooldown;on\n!a;b;captain;10;perhaps\n!c;d;;soon;");
        $columns = ImportColumns::guess($table);
        self::assertSame([3], $columns->withoutUnit($table));
        $keys = static fn (int $row): array => array_map(
            static fn (Message $one): string => $one->key,
            ImportedRow::read($table->rows[$row], $columns, null, null)->problems,
        );
        self::assertSame(['import.no-unit', 'import.no-level', 'import.no-yes'], $keys(1));
        self::assertSame(['import.no-time'], $keys(2));
    }

    /** @return iterable<string, array{string, string|null}> a cell, and the levels it means */
    public static function levels(): iterable
    {
        yield 'nobody in particular' => ['Everyone', '[]'];
        yield 'one is the least' => ['Moderator', '{"at_least":"moderator"}'];
        yield 'short' => ['mods', '{"at_least":"moderator"}'];
        yield 'with a plus' => ['subscribers+', '{"at_least":"subscriber"}'];
        yield 'and up' => ['Regulars and up', '{"at_least":"regular"}'];
        yield 'alone' => ['subscribers only', '{"any_of":["subscriber"]}'];
        yield 'several' => ['VIPs, subs', '{"any_of":["vip","subscriber"]}'];
        yield 'unknown' => ['captain', null];
        yield 'one of them unknown' => ['VIPs, captains', null];
        yield 'a number' => ['500', null];
    }

    #[DataProvider('levels')]
    public function test_levels_are_read_in_plain_words_and_never_opened_by_mistake(string $cell, ?string $levels): void
    {
        $read = ImportCell::levels($cell);
        self::assertSame($levels, $read === null ? null : json_encode($read));
    }

    public function test_times_are_read_with_their_units(): void
    {
        $read = static fn (string $cell): ?int => ImportCell::seconds($cell, null);
        self::assertSame(
            [10, 10, 90, 120, 7_200, 90, 3_661, null, null, null],
            array_map(
                $read,
                ['10 s', '10sec', '90 seconds', '2 min', '2h', '1:30', '1:01:01', '10', 'soon', '10 parsecs'],
            ),
        );
        self::assertSame([600, 10], [ImportCell::seconds('10', 'minutes'), ImportCell::seconds('10 s', 'minutes')]);
        self::assertSame(
            ['seconds', 'minutes', null],
            array_map(ImportCell::unitIn(...), ['Cooldown (s)', 'wait in minutes', 'wait (each)']),
        );
        self::assertSame(
            [true, false, null],
            array_map(ImportCell::yes(...), ['Yes', 'disabled', 'perhaps']),
        );
    }

    public function test_the_commands_of_a_counter_read_count_and_set_it_and_stay_at_its_floor(): void
    {
        $pack = self::importing(CounterCommands::table('splinters'));
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        $bram = Person::known('1', 'bram', 'Bram', Levels::of(Level::Moderator));
        $said = [];
        $lines = ['!splinters', '!moresplinters', '!lesssplinters', '!setsplinters 0', '!lesssplinters'];
        foreach ($lines as $at => $line) {
            $then = new Moment(1_795_597_200_000 + $at * 60_000);
            $said[] = $rehearsal->line("e$at", $bram, $line, $then)->texts()[0] ?? '';
        }
        self::assertStringContainsString('One less: 0 splinters.', $said[4]);
        self::assertSame('Now 0 splinters.', $said[3]);
        $odo = Person::known('2', 'odo', 'Odo', Levels::of());
        self::assertSame([], $rehearsal->line('x', $odo, '!moresplinters', new Moment(1_795_599_200_000))->texts());
    }

    public function test_what_is_left_is_written_so_that_it_is_read_as_it_was(): void
    {
        mt_srand(7);
        $pieces = ['!a', 'two words', '"quoted"', "two\nlines", "a\ttab", 'comma, semicolon; bar|', 'é', '""', 'x'];
        for ($round = 0; $round < 300; $round++) {
            $rows = array_map(
                static fn (): array => ['!t'.mt_rand(), $pieces[mt_rand(0, 8)].$pieces[mt_rand(0, 8)], 'last'],
                range(0, mt_rand(1, 6)),
            );
            self::assertSame($rows, PastedTable::read(PastedTable::written($rows))->rows);
        }
    }

    public function test_the_commands_of_a_list_and_of_points_say_what_they_are_for(): void
    {
        $said = static function (string $table, string $line): string {
            $pack = self::importing($table);
            $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
            $tamsin = World::people()[0]->person();

            return $rehearsal->line('one', $tamsin, $line, new Moment(1_795_597_200_000))->texts()[0] ?? '';
        };
        $answers = ListCommands::table('knots');
        self::assertStringStartsWith('“will it hold?” Tamsin, ', $said($answers, '!askknots will it hold?'));
        self::assertSame('Ask me something, Tamsin.', $said($answers, '!askknots'));
        self::assertStringStartsWith('Tamsin: ', $said($answers, '!knots'));
        $points = PointsCommands::table(World::pack()->fields['pebbles']);
        self::assertSame('Tamsin has 40 pebbles.', $said($points, '!pebbles'));
        self::assertSame('Tamsin gives Bram 3.', $said($points, '!givepebbles bram 3'));
        self::assertStringStartsWith('1. Tamsin 40', $said($points, '!toppebbles'));
    }

    /** The pack with the commands of a table, none of which has an error. */
    private static function importing(string $written): Pack
    {
        $table = PastedTable::read($written);
        $columns = ImportColumns::guess($table);
        self::assertSame([[], []], [$columns->leftOver($table), $columns->withoutUnit($table)]);
        $pack = World::pack()->withCommands(
            array_map(static function (array $cells) use ($columns): Command {
                $row = ImportedRow::read($cells, $columns, null, null);
                self::assertSame([], $row->problems);

                return CommandFormat::read(Document::of($row->document));
            }, array_slice($table->rows, 1)),
        );
        foreach ($pack->commands as $command) {
            self::assertSame(
                [],
                array_filter(Checks::ofCommand($command, $pack), static fn (Finding $one): bool => $one->isError()),
                $command->trigger,
            );
        }

        return $pack;
    }
}
