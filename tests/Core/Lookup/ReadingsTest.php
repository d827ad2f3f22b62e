<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Document\Document;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\AnswerReader;
use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Lookup\Kinds\ReadingKinds;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Lookup\Reading;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Value\Gap;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** What becomes of what a path has met. */
final class ReadingsTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, int|string>, Found|list<Found>, mixed}> */
    public static function kinds(): iterable
    {
        $text = Found::text(...);
        yield 'text' => ['text', [], $text(" a\n b\u{7}\u{202E} "), 'a b'];
        yield 'a number as a text' => ['text', [], Found::number('1.50'), '1.50'];
        yield 'a part is no text' => ['text', [], Found::part(), 'look-up-of-another-kind'];
        yield 'an emoji stays whole' => ['text', [], $text("👩\u{200D}🔧 ok"), "👩\u{200D}🔧 ok"];
        yield 'number' => ['number', [], Found::number('4.25'), '4.25'];
        yield 'rounded' => ['number', ['decimals' => 1], Found::number('4.25'), '4.3'];
        yield 'with an exponent' => ['number', [], Found::number('1.41e3'), '1410'];
        yield 'too large to be one' => ['number', [], Found::number('1e99'), 'look-up-of-another-kind'];
        yield 'nothing near the bomb' => ['number', [], $text('1e999999999'), 'look-up-of-another-kind'];
        yield 'thousands' => ['number', [], $text('1,410'), '1410'];
        yield 'thousands and decimals' => ['number', [], $text('−12,345,678.9'), '-12345678.9'];
        yield 'no thousands' => ['number', [], $text('1,41'), 'look-up-of-another-kind'];
        yield 'a comma before decimals' => ['number', ['decimal_sign' => ','], $text('1.410,5'), '1410.5'];
        yield 'a unit behind' => ['number', ['unit' => 'm'], $text('4.2 m'), '4.2'];
        yield 'a unit before' => ['number', ['unit' => '€'], $text('€19.90'), '19.9'];
        yield 'another unit' => ['number', ['unit' => 'm'], $text('4.2 km'), 'look-up-of-another-kind'];
        yield 'no number' => ['number', [], $text('soon'), 'look-up-of-another-kind'];
        yield 'yes is no number' => ['number', [], Found::yesNo(true), 'look-up-of-another-kind'];
        yield 'ISO 8601' => ['moment', [], $text('2026-11-30T10:00:00+01:00'), '2026-11-30T09:00:00Z'];
        yield 'in the channel’s zone' => ['moment', [], $text('2026-07-01T10:00:00'), '2026-07-01T09:00:00Z'];
        yield 'in another zone' => [
            'moment',
            ['zone' => 'Asia/Tokyo'],
            $text('2026-07-01T10:00:00'),
            '2026-07-01T01:00:00Z',
        ];
        yield 'as mails and feeds have it' => [
            'moment',
            ['format' => 'mail'],
            $text('Mon, 30 Nov 2026 10:00:00 +0000'),
            '2026-11-30T10:00:00Z',
        ];
        yield 'with the zone’s letters' => [
            'moment',
            ['format' => 'mail'],
            $text('Mon, 30 Nov 2026 10:00:00 GMT'),
            '2026-11-30T10:00:00Z',
        ];
        yield 'seconds' => ['moment', ['format' => 'seconds'], Found::number('1796032800'), '2026-11-30T10:00:00Z'];
        yield 'by a pattern' => [
            'moment',
            ['format' => 'dd.MM.yyyy HH:mm'],
            $text('30.11.2026 10:00'),
            '2026-11-30T10:00:00Z',
        ];
        yield 'no day of that month' => [
            'moment',
            ['format' => 'dd.MM.yyyy'],
            $text('31.11.2026'),
            'look-up-of-another-kind',
        ];
        yield 'something behind it' => [
            'moment',
            ['format' => 'dd.MM.yyyy'],
            $text('30.11.2026 x'),
            'look-up-of-another-kind',
        ];
        yield 'yes' => ['yes_no', [], $text('Open'), true];
        yield 'no' => ['yes_no', [], Found::yesNo(false), false];
        yield 'neither' => ['yes_no', [], $text('perhaps'), 'look-up-of-another-kind'];
        yield 'a list' => ['list', [], [$text('a'), Found::nothing(), $text('n/a'), Found::number('2')], ['a', '2']];
        yield 'the first of several' => ['text', [], [Found::nothing(), $text('b'), $text('c')], 'b'];
        yield 'nothing' => ['text', [], [], 'look-up-missing'];
        yield 'what counts as nothing' => ['number', [], $text('n/a'), 'look-up-missing'];
        yield 'an empty place' => ['text', [], Found::nothing(), 'look-up-missing'];
    }

    /**
     * @param  array<string, int|string>  $settings
     * @param  Found|list<Found>  $found
     */
    #[DataProvider('kinds')]
    public function test_what_a_reading_becomes(string $kind, array $settings, Found|array $found, mixed $is): void
    {
        $reading = new Reading('x', 'x', ReadingKinds::of($kind, $settings), 500, ['n/a'], $kind === 'number');
        $zone = new DateTimeZone('Europe/London');
        self::assertSame($is, self::plain($reading->value(is_array($found) ? $found : [$found], $zone)));
        // Nothing of it is lost in a document.
        $lookup = new Lookup('a', 'https://a.org', readings: [$reading]);
        $document = Document::of(LookupFormat::write($lookup));
        self::assertEquals($lookup, LookupFormat::read($document));
        self::assertSame([], $document->findings());
    }

    public function test_a_source_that_is_down_is_never_read_aloud(): void
    {
        $high = new Reading('high', 'high', ReadingKinds::of('text'));
        $lookup = new Lookup('tide', 'https://a.org', readings: [$high]);
        $read = static fn (int $status, string $body, string $type = 'application/json'): mixed => self::plain(
            (new AnswerReader(
                $lookup,
                new Answer($status, ['content-type' => $type], $body, new Moment(0)),
                new DateTimeZone('UTC'),
            ))->all()->values['high'],
        );
        self::assertSame('14:20', $read(200, '{"high":"14:20"}'));
        self::assertSame('14:20', $read(200, '{"high":"14:20"}', 'text/plain'));
        self::assertSame('look-up-status', $read(503, '{"high":"14:20"}'));
        self::assertSame('look-up-status', $read(304, ''));
        self::assertSame('look-up-another-format', $read(200, '<html>Sorry</html>', 'text/html'));
        self::assertSame('look-up-another-format', $read(200, "\n <!DOCTYPE html><p>Sorry", ''));
        self::assertSame('look-up-broken', $read(200, '{"high":"14'));
        self::assertSame('look-up-too-large', $read(200, '"'.str_repeat('a', Answer::LARGEST).'"'));
        self::assertSame('look-up-missing', $read(200, '{"low":1}'));
    }

    public function test_what_was_read_and_where_from_comes_back_as_it_was_kept(): void
    {
        $document = Document::of(['name' => 'tide', 'address' => 'https://a.org/', 'readings' => [
            ['name' => 'High', 'path' => 'high', 'type' => 'moment'],
            ['name' => 'names', 'path' => 'names[]', 'type' => 'list'],
            ['name' => 'none', 'path' => 'none'],
        ]]);
        $answer = new Answer(
            200,
            [],
            '{"high":"2026-11-30T10:00:00Z","names":["a","b\u0007",7,true,5,6]}',
            new Moment(0),
        );
        $read = (new AnswerReader(LookupFormat::read($document), $answer, new DateTimeZone('UTC')))->all();
        self::assertSame(['high' => '2026-11-30T10:00:00Z', 'names' => 'a, b, 7, true, 5'], $read->raw);
        $again = ReadAnswer::fromKept(json_decode((string) json_encode($read->kept()), true));
        self::assertEquals($read, $again);
        self::assertNull(ReadAnswer::fromKept(['high' => 'x']));
        foreach (['asked 0 230 4.2 m', 'kept 120 0 ', "kept 1 2 a\nb"] as $kept) {
            self::assertSame($kept, ReadingOrigin::fromKept($kept)?->kept());
        }
        self::assertNull(ReadingOrigin::fromKept('said 1 2 x'));
    }

    public function test_recorded_answers_and_troubles_are_taken_for_what_is_asked(): void
    {
        $document = Document::of(['name' => 'tide', 'address' => 'https://a.org/{port}', 'parameters' => [
            ['name' => 'port'],
        ], 'readings' => [['name' => 'High', 'path' => 'high']]]);
        $lookups = ['tide' => LookupFormat::read($document)];
        [$answers, $flaws] = CannedAnswersFormat::read(
            '{"Tide": [{"args": {"PORT": "Porth"}, "body": "{\"high\":\"14:20\"}", "at": "2026-11-30T10:00:00Z"}, '
                .'{"args": {"port": "slow"}, "body": "{\"high\":\"1\"}", "slow": 4}, {"trouble": "refused"}], '
                .'"moon": []}',
            $lookups,
            new Moment(0),
        );
        self::assertSame(['/moon'], array_column($flaws, 'at'));
        $now = Moment::fromIso('2026-11-30T10:05:00Z');
        $canned = new CannedAnswers($lookups, $answers, new CannedReadings, new DateTimeZone('UTC'), $now);
        $read = static fn (string $reading, string $port): mixed => $canned->read(
            Request::lookup('tide', $reading, ['port' => $port]),
        );
        self::assertSame('14:20', $read('high', 'porth'));
        $age = $read('age', 'porth');
        self::assertSame(300_000, $age instanceof TimeSpan ? $age->millis() : 0);
        self::assertSame('look-up-too-late', self::plain($read('high', 'slow')));
        self::assertSame('look-up-down', self::plain($read('high', 'elsewhere')));
        self::assertSame('unknown-name', self::plain($read('depth', 'porth')));
        $origin = $canned->originOf(Request::lookup('tide', 'high', ['port' => 'porth']));
        self::assertEquals(new ReadingOrigin(ReadingOrigin::CANNED, 300, 0, '14:20'), $origin);
        self::assertNull($canned->originOf(Request::channel('title')));
        foreach ($answers['tide'] as $one) {
            [$again] = CannedAnswersFormat::read(
                (string) json_encode(['tide' => [CannedAnswersFormat::write($one)]]),
                $lookups,
                new Moment(0),
            );
            self::assertEquals($one, $again['tide'][0]);
        }
        $reasons = array_map(static fn (Trouble $one): string => $one->reason()->value, Trouble::cases());
        self::assertSame($reasons, array_unique($reasons), 'each has a sentence of its own');
    }

    /** @return bool|float|int|string|list<mixed>|null */
    private static function plain(null|bool|int|string|Value $value): bool|float|int|string|array|null
    {
        return match (true) {
            $value instanceof Gap => $value->reason->value,
            is_int($value), $value instanceof Number => Number::digits($value),
            $value instanceof Moment => $value->iso(),
            $value instanceof ListValue => $value->items,
            is_scalar($value) => $value,
            default => null,
        };
    }
}
