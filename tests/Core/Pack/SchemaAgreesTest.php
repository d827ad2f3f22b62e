<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use Closure;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Format\PackFormat;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Source\Finding;
use stdClass;
use Tests\Outside;

/**
 * The readers of documents and their published schemas (JSON Schema 2020-12, by opis/json-schema) refuse the same,
 * whatever is changed in one.
 */
final class SchemaAgreesTest extends TestCase
{
    private const DOCS = __DIR__.'/../../../docs';

    /**
     * What only the reader can see: things that are the same twice, and names and pictures that somebody else knows.
     */
    private const ONLY_THE_READER = [
        'id-twice',
        'name-twice',
        'key-twice',
        'rank-twice',
        'not-a-zone',
        'not-a-language',
        'ends-before-it-begins',
        'never-quiet',
    ];

    /** @return iterable<string, array{string, Closure(string): list<Finding>}> the format, and what its reader finds */
    public static function formats(): iterable
    {
        [$pack] = PackFormat::read((string) file_get_contents(self::DOCS.'/examples/lantern-cove.pack.json'));
        yield 'pack' => ['pack', static fn (string $json): array => PackFormat::read($json)[1]];
        // What a counter or an occasion is, a memory is read with its pack to know.
        yield 'memory' => ['memory', static fn (string $json): array => MemoryFormat::read($json, $pack)[1]];
    }

    /** @param  Closure(string): list<Finding>  $read */
    #[Group('wide')]
    #[DataProvider('formats')]
    public function test_of_changed_documents_the_schema_and_the_reader_say_the_same(
        string $format,
        Closure $read,
    ): void {
        $validator = new Validator;
        foreach (glob(self::DOCS.'/formats/*.schema.json') ?: [] as $file) {
            $validator->resolver()?->registerRaw(json_decode((string) file_get_contents($file)));
        }
        $schema = json_decode((string) file_get_contents(self::DOCS."/formats/$format.schema.json"))->{'$id'};
        $demo = json_decode((string) file_get_contents(self::DOCS."/examples/lantern-cove.$format.json"));
        $random = new Randomizer(new Xoshiro256StarStar(20261127));
        $places = self::places($demo);
        $refused = 0;
        $wrong = [];
        for ($i = 0; $i < Outside::rounds(400, 20_000); $i++) {
            $changed = unserialize(serialize($demo));
            for ($times = $random->getInt(1, 2); $times > 0; $times--) {
                self::change($changed, $places[$random->getInt(0, count($places) - 1)], $random);
            }
            $json = json_encode($changed, JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
            $all = $read($json);
            $found = array_filter(
                $all,
                static fn (Finding $one): bool => ! in_array($one->kind->code(), self::ONLY_THE_READER, true),
            );
            $isValid = $validator->validate(json_decode($json), $schema)->isValid();
            $refused += $isValid ? 0 : 1;
            $byThePack = array_filter(
                $found,
                static fn (Finding $one): bool => $format === 'memory'
                    && preg_match('#^/(?:counters|occasions)/#', $one->at) === 1
                    && in_array($one->kind->code(), ['unknown-key', 'wrong-kind'], true),
            );
            if ($isValid !== ($found === []) && ($isValid ? $byThePack !== $found : count($all) === count($found))) {
                $wrong[] =
                    ($isValid
                        ? 'only the reader refuses: '
                            .array_values($found)[0]->at
                            .' '
                            .array_values($found)[0]->sentence()
                        : 'only the schema refuses')
                    .' in '
                    .mb_substr((string) json_encode(self::difference($demo, $changed)), 0, 400);
            }
        }
        self::assertSame([], $wrong);
        self::assertGreaterThan(80, $refused);
    }

    /** @return list<list<int|string>> */
    private static function places(mixed $of): array
    {
        $places = [];
        foreach ($of instanceof stdClass || is_array($of) ? (array) $of : [] as $key => $value) {
            array_push(
                $places,
                [$key],
                ...array_map(static fn (array $inside): array => [$key, ...$inside], self::places($value)),
            );
        }

        return $places;
    }

    /** @param  list<int|string>  $place */
    private static function change(stdClass $document, array $place, Randomizer $random): void
    {
        $values = [
            null,
            true,
            false,
            0,
            1,
            -1,
            1.0,
            1.5,
            2.0,
            99_999_999_999,
            '9223372036854775808',
            '',
            'x',
            ' ',
            'Moderator',
            'MODERATOR',
            '2026-11-25T09:00:00Z',
            '2026-11-25',
            [],
            new stdClass,
            ['x'],
            (object) ['x' => 1],
            str_repeat('a', 3_000),
            'a b',
            'caller',
            'x-y',
            'é',
            'en_GB',
            'Europe/Copenhagen',
            array_fill(0, 9, 'vip'),
        ];
        $at = &$document;
        foreach (array_slice($place, 0, -1) as $key) {
            if ($at instanceof stdClass && isset($at->{$key})) {
                $at = &$at->{$key};
            } elseif (is_array($at) && isset($at[$key])) {
                $at = &$at[$key];
            } else {
                return;
            }
        }
        $key = $place[count($place) - 1];
        $value = $values[$random->getInt(0, count($values) - 1)];
        $kind = $random->getInt(0, 9);
        if ($at instanceof stdClass) {
            if ($kind < 2) {
                unset($at->{$key});
            } else {
                $at->{$kind < 3 ? ['id', 'extra', 'weight', 'note'][$random->getInt(0, 3)] : $key} = $value;
            }
        } elseif (is_array($at)) {
            if ($kind < 2) {
                array_splice($at, (int) $key, 1);
            } else {
                $at[min((int) $key, count($at))] = $value;
            }
        }
    }

    /** @return array<string, mixed> what was changed, by its first key */
    private static function difference(stdClass $before, stdClass $after): array
    {
        return array_filter(
            (array) $after,
            static fn (mixed $value, string $key): bool => json_encode($value) !== json_encode($before->{$key} ?? null),
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
