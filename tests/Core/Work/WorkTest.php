<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Closure;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\LongestAnswer;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Analysis\StaticAnalyzer;
use SilverParrot\Response\Response;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/**
 * Work that must not grow with what is remembered, listed or written: counted in the bytes that it asks for at once,
 * which are the same on every machine. How long it takes is measured by `bin/parrot bench`.
 */
final class WorkTest extends TestCase
{
    /**
     * Bytes that one line may ask for at once, whatever is behind it: a copy of 10,000 items or keys takes many times
     * that.
     */
    private const MOST = 40_000;

    public function test_a_line_of_a_rehearsal_costs_the_same_at_a_hundred_keys_of_memory_and_at_fifty_thousand(): void
    {
        $asks = function (int $keys): int {
            $memory = [];
            for ($i = 0; $i < $keys; $i++) {
                $memory[Key::field('pebbles', "p$i")->id()] = $i;
            }
            $rehearsal = new Rehearsal(
                new Pack(Pack::blank()->channel, commands: [Say::on('!a', 'x')]),
                new InitialState($memory),
                '1',
                ChatProfile::stream(),
                traced: false,
            );
            $rehearsal->line('first', self::tamsin(), 'hello', new Moment(0));

            return self::asked(
                static fn () => $rehearsal->line('second', self::tamsin(), 'hello there', new Moment(1000)),
            );
        };
        self::assertLessThan(self::MOST, $asks(50_000));
        self::assertEqualsWithDelta($asks(100), $asks(50_000), 2_000);
    }

    public function test_draws_from_ten_thousand_items_cost_what_draws_from_ten_do_once_their_order_is_known(): void
    {
        foreach (DrawOrder::cases() as $order) {
            $items = array_map(
                static fn (int $i): WeightedText => new WeightedText("knot $i", 1 + ($i % 3)),
                range(1, 10_000),
            );
            $pack = new Pack(
                Pack::blank()->channel,
                commands: [Say::on('!a', '[list.knots]')->gated(Cooldown::none())],
                lists: ['knots' => new TextList('knots', $items, $order)],
                flood: new Flood(0, 0),
            );
            $rehearsal = new Rehearsal($pack, new InitialState, '1', ChatProfile::stream(), traced: false);
            $first = $rehearsal->line('first', self::tamsin(), '!a', new Moment(0))->texts();
            $said = [];
            $asked = self::asked(static function () use ($rehearsal, &$said): void {
                for ($i = 0; $i < 20; $i++) {
                    $said[] =
                        $rehearsal->line("line $i", self::tamsin(), '!a', new Moment(1000 + $i))->texts()[0] ?? '';
                }
            });
            self::assertLessThan(20 * self::MOST / 4, $asked, $order->value);
            self::assertStringStartsWith('knot ', $first[0] ?? '');
            $isOne = $order === DrawOrder::OneADay;
            self::assertGreaterThan($isOne ? 0 : 15, count(array_unique($said)), $order->value);
        }
    }

    public function test_the_longest_answer_is_sought_without_shuffling_for_each_attempt(): void
    {
        $asks = static function (int $count): int {
            $items = array_map(
                static fn (int $i): WeightedText => new WeightedText(
                    "knot $i".($i === 7 ? ' and a very long bit of line' : ''),
                ),
                range(1, $count),
            );
            $pack = new Pack(
                Pack::blank()->channel,
                lists: ['knots' => new TextList('Knots', $items, DrawOrder::Shuffled)],
            );
            [$response, $profile] = [Response::of('[list.knots]'), ChatProfile::stream()];
            $estimate = StaticAnalyzer::of($response, $pack, $profile, ['!a']);
            $seek = static fn (): ?LongestAnswer => LongestAnswer::of(
                $response,
                $estimate,
                $pack,
                $profile,
                ['!a'],
                new Moment(0),
            );
            self::assertStringStartsWith('knot ', $seek()->text ?? '');

            return self::asked($seek);
        };
        self::assertEqualsWithDelta($asks(100), $asks(10_000), self::MOST);
    }

    public function test_a_traced_line_that_sets_nothing_off_seeks_what_was_meant_only_when_somebody_asks(): void
    {
        $pack = new Pack(
            Pack::blank()->channel,
            commands: array_map(static fn (int $i): Command => Say::on("!command$i", 'x'), range(1, 2_000)),
        );
        $outcome = null;
        $hear = static function (string $line) use ($pack, &$outcome): void {
            $outcome = (new EventHandler)->hear(
                new ChatLine('e', self::tamsin(), $line, new Moment(0)),
                new World(
                    $pack,
                    new CompleteView,
                    new CannedReadings,
                    new Moment(0),
                    new KeyedChance('1', 'e'),
                    ChatProfile::stream(),
                    true,
                ),
            );
        };
        $hear('warm');
        self::assertLessThan(self::MOST, self::asked(static fn () => $hear('!comand77')));
        self::assertInstanceOf(Outcome::class, $outcome);
        self::assertEquals(
            new Message('why.mistyped-near', ['typed' => '!comand77', 'nearest' => '!command77']),
            $outcome->trace?->entries()[1]->message(),
        );
        // A word is no trigger, and nobody looks through two thousand for it even then.
        $hear('command77');
        $trace = $outcome->trace;
        self::assertNotNull($trace);
        self::assertLessThan(self::MOST, self::asked(static fn () => $trace->entries()));
    }

    /** @param  Closure(): mixed  $work */
    private static function asked(Closure $work): int
    {
        $before = memory_get_usage();
        memory_reset_peak_usage();
        $work();

        return memory_get_peak_usage() - $before;
    }

    private static function tamsin(): Person
    {
        return Person::known('1', 'tamsin', 'Tamsin', Levels::of());
    }
}
