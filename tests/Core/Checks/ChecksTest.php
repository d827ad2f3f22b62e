<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\TestCase;
use SilverParrot\Checks\Checks;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Format\PackFormat;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Finding;
use Tests\Core\Response\World;

final class ChecksTest extends TestCase
{
    public function test_nothing_is_found_on_the_demo(): void
    {
        [$pack] = PackFormat::read((string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'));
        self::assertSame([], Checks::of($pack));
    }

    public function test_findings_point_into_the_pack(): void
    {
        self::assertSame(
            ['/commands/0/responses/1/text unknown-name', '/commands/0/refusals/level unknown-part', '/commands/0/if_it_fails empty-slot'],
            $this->found(new Command('!a', [new WeightedText('fine'), new WeightedText('[caler]')], levelRefusal: '[caller.nme]', ifItFails: '[]')),
        );
    }

    public function test_a_trigger_that_is_taken_is_found_where_it_comes_second(): void
    {
        $say = [new WeightedText('x')];
        self::assertSame(['/commands/1/trigger trigger-taken', '/commands/1/aliases/1 trigger-taken'], $this->found(new Command('!tide', $say, ['!flow']), new Command('!FLOW', $say, ['!ebb', '!tide'])));
        self::assertSame([], $this->found(new Command('!tide', $say, ['!flow']), new Command('!ebb', $say)));
    }

    public function test_a_command_with_nothing_to_say_is_found_unless_it_is_switched_off(): void
    {
        self::assertSame(['/commands/0/responses nothing-to-say'], $this->found(new Command('!a', [new WeightedText(" \u{200B}")])));
        self::assertSame([], $this->found(new Command('!a', [], enabled: false)));
    }

    /** @return list<string> */
    private function found(Command ...$commands): array
    {
        $pack = new Pack(World::pack()->channel, commands: array_values($commands));

        return array_map(static fn (Finding $finding): string => "{$finding->at} {$finding->kind->code()}", Checks::of($pack));
    }
}
