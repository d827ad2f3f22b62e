<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Value\Moment;

/** Each filter with each kind of value, by the table language/filters-by-kind.txt. */
final class FiltersByKindTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function cells(): iterable
    {
        [$values, $rows] = self::table();
        foreach ($rows as $filter => $cells) {
            foreach ($values as $column => $value) {
                yield "[$value | $filter]" => ["x[$value | $filter]", $cells[$column]];
            }
        }
    }

    #[DataProvider('cells')]
    public function test_what_a_filter_makes_of_a_kind_of_value(string $source, string $expected): void
    {
        $pack = World::pack()->withCommand(Say::on('!say', $source)->gated(Cooldown::none()));
        $outcome = (new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream()))->line(
            'cell',
            World::people()[0]->person(),
            '!say',
            Moment::fromIso(World::NOW) ?? new Moment(0),
        );
        self::assertSame(
            $expected,
            $outcome->failed === null ? substr($outcome->texts()[0] ?? '', 1) : "!{$outcome->failed->reason}",
        );
    }

    public function test_every_filter_stands_in_the_table(): void
    {
        $name = static fn (string $filter): string => explode(' ', $filter)[0];
        $named = array_map($name, array_keys(self::table()[1]));
        self::assertSame([], array_diff(array_keys((new Vocabulary)->filters), $named));
    }

    /** @return array{list<string>, array<string, list<string>>} values, and cells by filter */
    private static function table(): array
    {
        $lines = explode("\n", rtrim((string) file_get_contents(__DIR__.'/language/filters-by-kind.txt'), "\n"));
        $rows = array_map(static fn (string $line): array => explode("\t", $line), array_slice($lines, 1));
        $values = array_slice(array_shift($rows) ?? [], 1);
        $byFilter = [];
        foreach ($rows as $row) {
            $byFilter[$row[0]] = array_slice($row, 1);
        }

        return [array_values($values), $byFilter];
    }
}
