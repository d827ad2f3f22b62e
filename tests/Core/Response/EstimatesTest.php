<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\LongestAnswer;
use SilverParrot\Rehearsal\SyntheticWorld;
use SilverParrot\Response\Analysis\EstimatedCondition;
use SilverParrot\Response\Analysis\EstimatedSlot;
use SilverParrot\Response\Analysis\Lengths;
use SilverParrot\Response\Analysis\ResponseEstimate;
use SilverParrot\Response\Analysis\StaticAnalyzer;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Finding;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\World as SaidIn;

/** What is known of responses beforehand, held against what they say under many circumstances. */
final class EstimatesTest extends TestCase
{
    /** One expression or more of every kind of value, those of people's texts among them. */
    private const VALUES = [
        'caller',
        'caller.levels',
        'caller.level',
        'caller.tier',
        'caller.lines',
        'caller.boat',
        'caller.pebbles',
        'caller.first_seen',
        'caller.followed',
        'target',
        'target.pebbles',
        'target.category',
        'target.here',
        'word 1',
        'words',
        'words 2 to 3',
        'message',
        'trigger',
        'channel.title',
        'channel.tags',
        'channel.viewers',
        'channel.uptime',
        'channel.started',
        'channel.live',
        'now',
        'today',
        'fact.workshop',
        'list.knots',
        'list.knots 2',
        'list.knots.size',
        'counter.planks',
        'counter.splinters',
        'counter.splinters.total',
        'counter.visits',
        'occasion.leak',
        'since occasion.leak',
        'until occasion.launch',
        'lookup.tide.high',
        'commands',
        '"a text"',
        '12',
        '2.5',
        '"7"',
        'yes',
        'nothing',
        'roll 6',
        'roll -5 to 100',
        'either "port", "starboard board"',
        '(counter.planks + 1)',
        '(counter.planks / 7)',
        '(word 1 * 2)',
        '(-counter.planks)',
        '(counter.planks % 7)',
        '(words or "nobody")',
        '(caller.tier or 0)',
        '(words and caller)',
        '(not words)',
        '(counter.planks > 2)',
        '(words contains "w")',
        '(now + "2 days")',
        '(caller.boat is nothing)',
    ];

    private const FILTERS = [
        'upper',
        'lower',
        'title',
        'trim',
        'cut 20',
        'cut 1',
        'replace "w" "long"',
        'replace "ww" ""',
        'number',
        'round',
        'round 2',
        'ordinal',
        'plural "# plank" "all # of # planks"',
        'plural one="#" few="# few" other="# of them"',
        'date',
        'date "EEEE d MMMM y"',
        'ago',
        'short',
        'default "another"',
        'default words',
        'quiet',
        'url',
        'mention',
        'in days',
        'in minutes',
        'join " and then "',
        'first',
        'last',
        'count',
        'reverse',
        'sort',
        'link',
    ];

    private const LETTERS = ['w', 'ß', 'ﬃ', '🦜', "e\u{301}", '7', '７', "\u{1F1E6}", 'x y ', "\u{200D}", 'İ'];

    /** Values of which some or all are lists, and what can be done to lists one after another. */
    private const LISTS = [
        'words',
        'message',
        'channel.tags',
        'caller.levels',
        'commands',
        '(caller.tier or words)',
        '(either now, commands)',
        '(either words, caller.levels)',
        '(words and caller.levels)',
        '(caller.levels or now)',
    ];

    private const CHAINS = [
        'sort | mention',
        'sort | join " — and — "',
        'upper | join " — and — "',
        'reverse | url',
        'reverse | url | first',
        'mention | join words',
        'sort | title | last',
        'cut 400 | first',
        'join "" | upper',
        'reverse | trim | reverse',
        'sort | count',
    ];

    /** @return iterable<string, array{string, list<string>}> the language, and responses */
    public static function responses(): iterable
    {
        $sources = [];
        foreach (LanguageTest::cases() as [$case]) {
            $sources[$case['source']] = true;
        }
        yield 'the cases of the language' => ['en', array_map(strval(...), array_keys($sources))];
        $chained = [];
        foreach (self::LISTS as $list) {
            foreach (self::CHAINS as $chain) {
                $chained[] = "[$list | $chain]";
            }
        }
        yield 'lists through several filters' => ['en', $chained];
        $moments = [
            '(now + since occasion.launch)',
            '(now - until occasion.launch)',
            '(occasion.launch + "2 days")',
            '(now + "999999 weeks 999999 weeks 999999 weeks")',
            '(now - "999999 weeks")',
            '((either now, 3) + "2 days")',
            '(now * "2 days")',
            '(now + words)',
            '(occasion.launch - occasion.leak)',
            '(-now)',
            '(3 + now)',
        ];
        yield 'moments that are moved' => [
            'en',
            [
                ...array_map(static fn (string $moment): string => "[$moment]", $moments),
                ...array_map(static fn (string $moment): string => "[$moment or words or 1]", $moments),
            ],
        ];
        foreach (['en', 'pl', 'ar', 'ja', 'de'] as $number => $language) {
            $filtered = [];
            foreach (self::VALUES as $at => $value) {
                $filtered[] = "[$value]";
                foreach (self::FILTERS as $place => $filter) {
                    // English meets all, the others every fifth.
                    if ($number === 0 || ($at + $place) % 5 === $number) {
                        $filtered[] = "é[$value | $filter]".($place % 2 === 0 ? ' ashore' : '🚀');
                    }
                }
            }
            yield "each filter with each kind of value, $language" => [$language, $filtered];
        }
    }

    /** @param  list<string>  $sources */
    #[Group('wide')]
    #[DataProvider('responses')]
    public function test_nothing_that_is_said_leaves_its_bounds_and_no_gap_comes_untold(
        string $language,
        array $sources,
    ): void {
        $pack = World::pack($language, 'Europe/Warsaw');
        $profile = ChatProfile::stream();
        $lengths = Lengths::of($pack->channel);
        $said = 0;
        foreach ($sources as $source) {
            $response = Response::of($source);
            if (
                array_filter($response->findings($pack), static fn (Finding $finding): bool => $finding->isError())
                !== []
            ) {
                continue;
            }
            $estimate = StaticAnalyzer::of($response, $pack, $profile, ['!say', '!speak'], $lengths);
            for ($attempt = 0; $attempt < 16; $attempt++) {
                $said += $this->compare($response, $estimate, $pack, $profile, $attempt * 5) ? 1 : 0;
            }
        }
        self::assertGreaterThan(count($sources) * 3, $said);
    }

    private function compare(
        Response $response,
        ResponseEstimate $estimate,
        Pack $pack,
        ChatProfile $profile,
        int $attempt,
    ): bool {
        $letter = self::LETTERS[$attempt % count(self::LETTERS)];
        $room = 500 - mb_strlen('!say ');
        $typed = match (intdiv($attempt, 3) % 4) {
            0 => mb_substr(str_repeat($letter, 500), 0, $room),
            1 => '',
            2 => "@longest $letter 12",
            default => '12 '.mb_substr(str_repeat($letter, 500), 0, $room - 3),
        };
        $name = match ($attempt % 3) {
            0 => str_repeat('W', 25),
            1 => 'Pia',
            default => mb_substr(str_repeat($letter, 25), 0, 25),
        };
        $name = trim($name) === '' ? 'Pia' : $name;
        $imagined = new SyntheticWorld($pack, $name, $attempt, ['Planking'], [0, 1, 5]);
        $world = new SaidIn(
            $pack,
            $imagined,
            $imagined,
            Moment::fromIso(World::NOW) ?? new Moment(0),
            new KeyedChance('bounds', (string) $attempt),
            $profile,
        );
        $trigger = $attempt % 2 === 0 ? '!say' : '!speak';
        $caller = Person::known(
            'caller',
            'caller',
            $name,
            Levels::of(...$attempt % 2 === 0 ? Level::cases() : []),
            $attempt % 4,
        );
        $said = $response->say(
            new EvaluationContext(
                $world,
                Invocation::of($caller, $typed, $trigger, mb_substr(trim("$trigger $typed"), 0, 500)),
                'bounds',
                new PendingReads,
                own: new OwnResponses(new ResponseCache),
            ),
        );
        if ($said instanceof RenderedResponse) {
            $text = $said->text;
            [$extent, $length] = [$estimate->extent, ValueEstimate::length($text)];
            if ($length > $extent->longest || $length < $extent->shortest || strlen($text) > $extent->bytes) {
                self::fail(
                    "{$response->text} said “{$text}” for “{$typed}”: $length characters and "
                        .strlen($text)
                        ." bytes, not {$extent->shortest} to {$extent->longest} and {$extent->bytes}",
                );
            }
        } elseif (
            $said instanceof EvaluationFailure
            && ($reason = GapReason::tryFrom($said->reason)) !== null
            && $reason !== GapReason::TooLarge
            && $reason !== GapReason::NotWhole
        ) {
            $told = array_merge(
                [],
                ...array_map(static fn (EstimatedSlot|EstimatedCondition $one): array => $one->estimate->gaps, [
                    ...$estimate->slots,
                    ...$estimate->conditions,
                ]),
            );
            self::assertContains($reason, $told, "{$response->text} fails with {$reason->value} for “{$typed}”");
        }

        return $said instanceof RenderedResponse;
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function demo(): iterable
    {
        [$pack] = PackFormat::read(
            (string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'),
        );
        foreach ($pack->commands as $command) {
            foreach ($command->sources() as $place => $source) {
                yield "{$command->trigger} $place" => [$source, $command->triggers->all()];
            }
        }
    }

    /** @param  list<string>  $triggers */
    #[DataProvider('demo')]
    public function test_the_longest_is_reached_within_a_tenth_by_the_input_that_is_shown(
        string $source,
        array $triggers,
    ): void {
        [$pack] = PackFormat::read(
            (string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'),
        );
        $profile = ChatProfile::stream();
        $response = Response::of($source);
        $estimate = StaticAnalyzer::of($response, $pack, $profile, $triggers);
        $longest = LongestAnswer::of(
            $response,
            $estimate,
            $pack,
            $profile,
            $triggers,
            Moment::fromIso(World::NOW) ?? new Moment(0),
        );
        self::assertNotNull($longest);
        self::assertLessThanOrEqual($estimate->extent->longest, $longest->length);
        self::assertGreaterThanOrEqual(
            0.9 * $estimate->extent->longest,
            $longest->length,
            "“{$longest->text}” ".implode(', ', $longest->given),
        );
    }

    public function test_what_nobody_can_own_is_estimated_too(): void
    {
        $response = (new ResponseCache)->response('[caller.goods or "nothing"]');
        $estimate = StaticAnalyzer::of($response, Pack::blank(), ChatProfile::stream(), ['!a']);
        self::assertCount(1, $estimate->slots);
    }

    public function test_what_is_known_of_a_response_beforehand(): void
    {
        $of = static function (string $source): string {
            $estimate = StaticAnalyzer::of(Response::of($source), World::pack(), ChatProfile::stream(), ['!say']);

            return "{$estimate->extent->shortest} to {$estimate->extent->longest}, typed {$estimate->extent->typed}";
        };
        // Counted by hand: planks 0 to 1,000, names up to 25, 500 characters a line.
        self::assertSame('8 to 8, typed 0', $of('Ahoy all'));
        self::assertSame('1 to 4, typed 0', $of('[counter.planks]'));
        self::assertSame('4 to 29, typed 0', $of('Ahoy[target | default ""]'));
        self::assertSame('0 to 495, typed 495', $of('[words]'));
        self::assertSame('0 to 20, typed 20', $of('[words | cut 20]'));
        self::assertSame('1 to 3, typed 0', $of('[when words]ayy[else]n[end]'));
        self::assertSame('1 to 3, typed 0', $of('[roll 1 to 100]'));
        self::assertSame(
            '0 to 4000, typed 4000',
            $of('[words][words][words][words][words][words][words][words][words]'),
        );
    }
}
