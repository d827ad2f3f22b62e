<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\TestCase;
use SilverParrot\Format\Difference;
use SilverParrot\Format\Differences;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Pack;
use Tests\Core\Response\World;

final class DifferencesTest extends TestCase
{
    public function test_equal_packs_differ_in_nothing(): void
    {
        self::assertSame([], Differences::between($this->pack(), $this->pack()));
    }

    public function test_new_changed_and_dropped_commands_are_told_apart_by_field(): void
    {
        $before = $this->pack(Say::on('!tide', 'high', 'low'), Say::on('!knot', 'bowline'));
        $after = $this->pack(
            Say::on('!TIDE', 'high', Say::response('ebb', 3))->gated(new Cooldown(20), new Enabled(false)),
            Say::on('!wave', 'hi'),
        );
        $told = array_map(
            static fn (Difference $one): array => [$one->trigger, $one->kind, $one->fields],
            Differences::between($before, $after),
        );
        self::assertSame(
            [
                [
                    '!TIDE',
                    'changed',
                    [
                        'trigger' => ['!tide', '!TIDE'],
                        'responses 2 text' => ['low', 'ebb'],
                        'cooldown channel' => ['10', '20'],
                        'responses 2 weight' => ['', '3'],
                        'enabled' => ['', 'no'],
                    ],
                ],
                ['!wave', 'new', []],
                ['!knot', 'dropped', []],
            ],
            $told,
        );
    }

    public function test_everything_is_new_where_nothing_was_on_the_air(): void
    {
        $differences = Differences::between(null, $this->pack(Say::on('!tide', 'high')));
        self::assertCount(1, $differences);
        self::assertSame('new', $differences[0]->kind);
    }

    public function test_what_belongs_to_no_command_is_told_by_its_name(): void
    {
        $with = static fn (string $text): Pack => new Pack(
            World::pack()->channel,
            facts: ['tide' => new Fact('tide', $text)],
        );
        $differences = Differences::between($with('at four'), $with('at five'));
        self::assertCount(1, $differences);
        self::assertSame(
            ['', 'changed', ['fact tide text']],
            [$differences[0]->trigger, $differences[0]->kind, array_keys($differences[0]->fields)],
        );
        self::assertStringContainsString('at five', $differences[0]->fields['fact tide text'][1]);
    }

    private function pack(Command ...$commands): Pack
    {
        return new Pack(World::pack()->channel, commands: array_values($commands));
    }
}
