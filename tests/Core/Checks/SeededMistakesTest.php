<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\CaseFile;
use Tests\Core\Response\World;

/** Mistakes that authors make, each of which must be found before anybody hears it. */
final class SeededMistakesTest extends TestCase
{
    private const MUTATIONS = 20;

    /** @return iterable<string, array{string, string}> */
    public static function committed(): iterable
    {
        foreach (CaseFile::read(__DIR__.'/seeded-mistakes.test') as $name => $case) {
            yield $name => [$case['source'], $case['finds']];
        }
    }

    #[DataProvider('committed')]
    public function test_a_committed_mistake_is_found(string $source, string $code): void
    {
        $pack = World::pack()->withCommand(Say::on('!a', $source));
        self::assertContains(
            $code,
            array_map(
                static fn (Finding $finding): string => $finding->kind->code(),
                Checks::ofCommand($pack->commands[0], $pack, self::around()),
            ),
        );
    }

    public function test_there_are_sixty(): void
    {
        self::assertGreaterThanOrEqual(60, iterator_count(self::committed()) + self::MUTATIONS);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= self::MUTATIONS; $seed++) {
            yield "seed $seed" => [$seed];
        }
    }

    /** The demo has no findings; after one slip in one of its texts it must have one. */
    #[DataProvider('seeds')]
    public function test_a_slip_in_the_demo_is_found(int $seed): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        [$demo] = PackFormat::read(
            (string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'),
        );
        [$index, $place, $text] = self::chosen($demo, $random);
        $slipped = self::slip($text, $random);
        $commands = $demo->commands;
        $commands[$index] = $commands[$index]->withSource($place, $slipped);
        $found = Checks::of($demo->withCommands($commands), self::around());
        self::assertNotSame([], $found, "“{$text}” became “{$slipped}”, and nothing was found");
        self::assertStringStartsWith("/commands/$index/", $found[0]->at);
    }

    /** @return array{int, string, string} a text of the demo that has a slot */
    private static function chosen(Pack $demo, Randomizer $random): array
    {
        $texts = [];
        foreach ($demo->commands as $index => $command) {
            foreach ($command->sources() as $place => $text) {
                if (str_contains($text, '[')) {
                    $texts[] = [$index, $place, $text];
                }
            }
        }

        return $texts[$random->getInt(0, count($texts) - 1)];
    }

    /**
     * One slip of the kind that fingers make: a bracket lost or doubled at its end, a letter of a name lost, put in or
     * swapped, a quote mark lost.
     */
    private static function slip(string $text, Randomizer $random): string
    {
        preg_match_all('/\[[^\[\]]+\]/', $text, $slots, PREG_OFFSET_CAPTURE);
        [$slot, $at] = $slots[0][$random->getInt(0, count($slots[0]) - 1)];
        $inside = substr($slot, 1, -1);
        $slips = [
            static fn (): string => "[$inside",
            static fn (): string => '['.preg_replace('/[a-z]{4,}/', 'x$0', $inside, 1).']',
            static fn (): string => '['
                .preg_replace_callback(
                    '/[a-z]{4,}/',
                    static fn (array $name): string => substr($name[0], 0, -2).strrev(substr($name[0], -2)),
                    $inside,
                    1,
                )
                .']',
            static fn (): string => '['.preg_replace('/([a-z]{2})[a-z]([a-z])/', '$1$2', $inside, 1).']',
            static fn (): string => str_contains($inside, '"')
                ? '['.preg_replace('/"/', '', $inside, 1).']'
                : "[$inside | ]",
        ];
        do {
            $slipped =
                substr($text, 0, $at)
                .$slips[$random->getInt(0, count($slips) - 1)]()
                .substr($text, $at + strlen($slot));
        } while ($slipped === $text);

        return $slipped;
    }

    private static function around(): CheckEnvironment
    {
        return CheckEnvironment::at(Moment::fromIso(World::NOW));
    }
}
