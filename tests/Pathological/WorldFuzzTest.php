<?php

declare(strict_types=1);

namespace Tests\Pathological;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Zones;
use SilverParrot\Checks\Checks;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;
use Tests\Outside;

/** Whatever language, zone, moment or document comes: no uncaught error, whole letters, and nothing without end. */
final class WorldFuzzTest extends TestCase
{
    private const SOURCES = [
        '[now] [today] [now | date "EEEE d MMMM y HH:mm:ss.SSS zzzz"] [now + words | date] [since occasion.leak] '
            .'[until occasion.launch | in days]',
        '[occasion.leak | ago] [occasion.launch | ago] [since occasion.leak | in hours]',
        '[1234567.891 | number] [counter.planks | ordinal] [counter.planks | plural "# plank" "# planks" few="# few" '
            .'many="# many"] [0.5] [-3 | number]',
        '[yes] [not yes] [when words is yes]y[else]n[end] [12345678901 | short] [since occasion.leak | short] [now | '
            .'short]',
        '[words | upper] [words | lower] [words | title] [words | sort] [words | reverse] [channel.tags] '
            .'[channel.tags | sort]',
        '[until words | in days] [words | date] [words | date words] [caller.born] [set caller.born to '
            .'words][caller.born | ago]',
    ];

    private const TYPED = [
        '',
        '2 days',
        '999999 weeks',
        '1 week 6 hours',
        '0001-01-01',
        '9999-12-31',
        '9999-12-31T23:59:59Z',
        '2024-02-29',
        '0000-00-00',
        '10000-01-01',
        '-1',
        'é',
        '🦜🏽 und ß',
        'İ ı ﬃ',
        "\u{202E}x",
        '2026-03-29T01:30',
        '1582-10-10',
    ];

    public function test_any_language_zone_and_moment_is_said(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261127));
        [$languages, $zones] = [array_keys(Languages::all()), Zones::all()];
        $rounds = Outside::rounds(800, 40_000);
        for ($i = 0; $i < $rounds; $i++) {
            $pack = World::pack(
                $languages[$random->getInt(0, count($languages) - 1)],
                $zones[$random->getInt(0, count($zones) - 1)],
            );
            $source = self::SOURCES[$i % count(self::SOURCES)];
            // Any moment that can be written, the ends among them.
            $now = new Moment(
                [
                    -62_135_596_800_000,
                    253_402_300_799_999,
                    $random->getInt(-62_135_596_800_000, 253_402_300_799_999),
                    $random->getInt(1_700_000_000_000, 1_900_000_000_000),
                ][$random->getInt(0, 3)],
            );
            $memory = World::situation($pack);
            $memory = new InitialState(
                [
                    'occasion'."\x1F".'leak'."\x1F" => (new Moment(
                        $random->getInt(-62_135_596_800_000, 253_402_300_799_999),
                    ))->iso(),
                ] + $memory->memory,
                $memory->channel,
            );
            $this->rehearse(
                $pack->withCommand(\SilverParrot\Hearing\Steps\Say::on('!say', $source)->gated(Cooldown::none())),
                $memory,
                '!say '.self::TYPED[$random->getInt(0, count(self::TYPED) - 1)],
                $now,
                "{$pack->channel->language} {$pack->channel->zone->getName()} {$now->iso()} $source",
            );
        }
        self::assertSame($rounds, $i);
    }

    public function test_any_pack_and_memory_with_something_changed_is_read_checked_and_heard(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(11));
        $folder = dirname(__DIR__, 2).'/docs/examples/';
        /** @var array<string, mixed> $pack */
        $pack = json_decode((string) file_get_contents($folder.'lantern-cove.pack.json'), true);
        /** @var array<string, mixed> $memory */
        $memory = json_decode((string) file_get_contents($folder.'lantern-cove.memory.json'), true);
        $rounds = Outside::rounds(250, 14_000);
        for ($i = 0; $i < $rounds; $i++) {
            [$changedPack, $changedMemory] = [$pack, $memory];
            for ($slips = $random->getInt(1, 4); $slips > 0; $slips--) {
                $random->getInt(0, 1) === 0
                    ? self::change($changedPack, $random)
                    : self::change($changedMemory, $random);
            }
            [$read] = PackFormat::read(json_encode($changedPack, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
            [$situation] = MemoryFormat::read(
                json_encode($changedMemory, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                $read,
            );
            if ($i % 5 === 0) {
                self::assertNotContains(
                    'not-looked-at',
                    array_map(static fn (Finding $one): string => $one->kind->code(), Checks::of($read)),
                );
            }
            // What was read by halves can still be written, and rehearsed with.
            self::assertJson(PackFormat::write($read));
            $command = $read->commands[$i % max(1, count($read->commands))] ?? null;
            $this->rehearse(
                $read,
                $situation,
                ($command->trigger ?? '!tide').' @odo 5',
                Moment::fromIso(World::NOW) ?? new Moment(0),
                json_encode($changedPack, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            );
        }
        self::assertSame($rounds, $i);
    }

    private function rehearse(Pack $pack, InitialState $situation, string $line, Moment $at, string $what): void
    {
        try {
            $rehearsal = new Rehearsal($pack, $situation, 'fuzz', ChatProfile::stream());
            $by = $rehearsal->person('tamsin') ?? World::people()[0]->person();
            foreach (['one', 'two'] as $key) {
                foreach ($rehearsal->line($key, $by, $line, $at)->texts() as $text) {
                    self::assertTrue(mb_check_encoding($text, 'UTF-8'), $what);
                    self::assertLessThanOrEqual(500, mb_strlen($text), $what);
                }
            }
        } catch (\PHPUnit\Framework\Exception $failed) {
            throw $failed;
        } catch (\Throwable $thrown) {
            self::fail(
                "$line: {$thrown->getMessage()} at {$thrown->getFile()}:{$thrown->getLine()}; "
                    .mb_substr($what, 0, 3_000),
            );
        }
    }

    /** @param  array<array-key, mixed>  $document  one value, key or place in it is changed */
    private static function change(array &$document, Randomizer $random): void
    {
        $at = &$document;
        for ($depth = $random->getInt(1, 6); $depth > 1 && is_array($at) && $at !== []; $depth--) {
            $keys = array_keys($at);
            $next = $keys[$random->getInt(0, count($keys) - 1)];
            if (! is_array($at[$next]) || $at[$next] === []) {
                break;
            }
            $at = &$at[$next];
        }
        if (! is_array($at) || $at === []) {
            return;
        }
        $keys = array_keys($at);
        $key = $keys[$random->getInt(0, count($keys) - 1)];
        $values = [
            null,
            true,
            false,
            0,
            -1,
            1,
            9_223_372_036_854_775_807,
            1.5,
            -0.0,
            1e300,
            '',
            ' ',
            '1',
            'x',
            '[',
            '[caller]',
            '[words | upper | upper]',
            "\u{0}",
            "\u{202E}",
            str_repeat('w', 3_000),
            '2026-11-25T09:00:00Z',
            '9999-12-31',
            'yes',
            [],
            [[]],
            ['x' => 'y'],
            ['1' => 'x'],
            [1, 2],
            'en',
            'zh-Hant-HK',
            'Pacific/Chatham',
            'streamer',
            'shuffled',
            'stream',
        ];
        match ($random->getInt(0, 3)) {
            0 => $at[$key] = $values[$random->getInt(0, count($values) - 1)],
            1 => $at[(string) $random->getInt(0, 99)] = $at[$key],
            2 => $at[$key] = is_array($at[$key]) ? array_reverse($at[$key], true) : [$at[$key]],
            default => array_splice($at, 0, 1),
        };
    }
}
