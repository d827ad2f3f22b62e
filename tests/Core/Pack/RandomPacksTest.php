<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Format\PackFormat;
use Tests\Outside;

/**
 * Whatever a pack can hold by its schema, reading and writing it brings the same pack back, and nothing is left out.
 */
final class RandomPacksTest extends TestCase
{
    /** What stands for something else when it is written: one form of two, or what is so by itself. */
    private const WRITTEN_OTHERWISE = ['commands/*/responses/*/steps/*/say'];

    #[Group('wide')]
    public function test_no_pack_loses_anything_on_its_way(): void
    {
        $documents = new RandomDocument(
            new Randomizer(new Xoshiro256StarStar(2020_12)),
            dirname(__DIR__, 3).'/docs/formats',
        );
        $drawn = $written = [];
        $clean = 0;
        for ($round = Outside::rounds(150, 5_000); $round > 0; $round--) {
            $document = $documents->of('pack.schema.json');
            [$pack, $findings] = PackFormat::read(json_encode($document, JSON_THROW_ON_ERROR));
            $text = PackFormat::write($pack);
            [$again, $more] = PackFormat::read($text);
            self::assertEquals($pack, $again, $text);
            self::assertSame($text, PackFormat::write($again));
            if ($findings === []) {
                $clean++;
                self::assertSame([], $more, $text);
            }
            $drawn += self::paths($document);
            $written += self::paths(json_decode($text, true));
        }
        $all = $documents->paths('pack.schema.json');
        self::assertGreaterThan(60, count($all));
        self::assertSame(
            [],
            array_values(array_diff($all, array_keys($drawn), self::WRITTEN_OTHERWISE)),
            'never drawn',
        );
        // Each deed has inputs of its own; DeedsTest writes all of them.
        $left = array_filter(
            array_diff($all, array_keys($written)),
            static fn (string $path): bool => ! str_contains($path, '/with/'),
        );
        self::assertSame([], array_values($left), 'never written');
        self::assertGreaterThan(20, $clean);
    }

    /** @return array<string, true> of each value, places in lists as “*” */
    private static function paths(mixed $of, string $path = ''): array
    {
        $paths = $path === '' ? [] : [$path => true];
        foreach (is_array($of) || $of instanceof \stdClass ? (array) $of : [] as $key => $value) {
            $paths += self::paths($value, ltrim($path.'/'.(is_int($key) ? '*' : $key), '/'));
        }

        return $paths;
    }
}
