<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\Weighted;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\DrawTable;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;

final class ListDrawTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function seeds(): iterable
    {
        foreach (['a', 'b', 'c', 'marigold', '7'] as $seed) {
            yield $seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_shuffled_brings_each_once_a_round_and_none_twice_running(string $seed): void
    {
        $drawn = $this->draw(DrawOrder::Shuffled, ['a' => 1, 'b' => 5, 'c' => 1, 'd' => 1], 40, $seed);
        foreach (array_chunk($drawn, 4) as $round) {
            sort($round);
            self::assertSame(['a', 'b', 'c', 'd'], $round);
        }
        $this->assertNoneTwiceRunning($drawn);
        self::assertGreaterThan(
            1,
            count(array_unique(array_map(implode(...), array_chunk($drawn, 4)))),
            'rounds differ',
        );
    }

    #[DataProvider('seeds')]
    public function test_no_repeat_never_brings_the_same_twice_running(string $seed): void
    {
        $drawn = $this->draw(DrawOrder::NoRepeat, ['a' => 1, 'b' => 1, 'c' => 8], 60, $seed);
        $this->assertNoneTwiceRunning($drawn);
        self::assertCount(3, array_unique($drawn));
    }

    public function test_in_turn_goes_round(): void
    {
        self::assertSame(
            ['a', 'b', 'c', 'a', 'b', 'c', 'a'],
            $this->draw(DrawOrder::InTurn, ['a' => 9, 'b' => 1, 'c' => 1], 7, 'x'),
        );
    }

    public function test_free_goes_by_weight(): void
    {
        $counts = array_count_values($this->draw(DrawOrder::Free, ['a' => 1, 'b' => 3], 400, 'x'));
        // Binomial(400, 0.75), .0005 and .9995 quantiles: 270 and 327 (R 4.2.2, qbinom).
        self::assertGreaterThanOrEqual(270, $counts['b']);
        self::assertLessThanOrEqual(327, $counts['b']);
    }

    public function test_one_item_is_drawn_again_and_again_in_any_order(): void
    {
        foreach (DrawOrder::cases() as $order) {
            self::assertSame(['a', 'a', 'a'], $this->draw($order, ['a' => 1], 3, 'x'));
        }
    }

    public function test_an_edited_list_goes_on_where_it_was(): void
    {
        [$drawn, $memory] = $this->drawFrom(DrawOrder::InTurn, ['a' => 1, 'b' => 1, 'c' => 1], 2, 'x', []);
        self::assertSame(['a', 'b'], $drawn);
        foreach ([['a', 'b', 'c', 'd'], ['z', 'a', 'b', 'c'], ['b', 'c'], ['a', 'c'], ['c', 'b']] as $items) {
            $next = $this->drawFrom(DrawOrder::InTurn, array_fill_keys($items, 1), 1, 'x', $memory)[0];
            self::assertSame(['c'], $next, implode(' ', $items));
        }
        self::assertSame(
            ['a'],
            $this->drawFrom(
                DrawOrder::InTurn,
                ['a' => 1, 'z' => 1],
                1,
                'x',
                $this->drawFrom(DrawOrder::InTurn, ['a' => 1, 'z' => 1], 2, 'x', [])[1],
            )[0],
        );
    }

    #[DataProvider('seeds')]
    public function test_an_item_that_is_added_or_taken_out_disturbs_no_round(string $seed): void
    {
        $items = array_fill_keys(['a', 'b', 'c', 'd', 'e', 'f'], 1);
        [$whole] = $this->drawFrom(DrawOrder::Shuffled, $items, 6, $seed, []);
        [$begun, $memory] = $this->drawFrom(DrawOrder::Shuffled, $items, 3, $seed, []);
        self::assertSame(array_slice($whole, 0, 3), $begun);
        $left = array_slice($whole, 3);
        // The rest of the round comes in its order, whatever was added, and without what was taken out.
        [$added] = $this->drawFrom(DrawOrder::Shuffled, $items + ['new' => 1], 3, $seed, $memory);
        $others = array_values(array_diff($added, ['new']));
        self::assertSame(array_slice($left, 0, count($others)), $others, implode(' ', $added));
        self::assertSame([], array_intersect($added, $begun));
        $without = array_diff_key($items, [$left[0] => 1, $begun[2] => 1]);
        self::assertSame(array_slice($left, 1), $this->drawFrom(DrawOrder::Shuffled, $without, 2, $seed, $memory)[0]);
    }

    /** Held against the plain walk over the weights, with the same luck. */
    public function test_looking_a_draw_up_gives_what_walking_over_the_weights_gives(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(7));
        for ($round = 0; $round < 400; $round++) {
            $weights = array_map(static fn (): int => $random->getInt(1, 5), range(1, $random->getInt(1, 30)));
            $table = new DrawTable(
                array_map(
                    static fn (int $weight, int $at): WeightedText => new WeightedText("t$at", $weight, "i$at"),
                    $weights,
                    array_keys($weights),
                ),
            );
            $without = $random->getInt(0, 3) === 0 ? null : $random->getInt(0, count($weights) - 1);
            $others = array_diff_key($weights, $without === null ? [] : [$without => true]) ?: $weights;
            $luck = static fn (): \Random\Randomizer => new \Random\Randomizer(new \Random\Engine\Mt19937($round));
            self::assertSame(
                Weighted::place($others, $luck()),
                $table->byWeight($luck(), $without),
                json_encode([$weights, $without], JSON_THROW_ON_ERROR),
            );
        }
    }

    public function test_two_items_of_the_same_text_are_two(): void
    {
        $list = new TextList('x', [new WeightedText('a'), new WeightedText('a'), new WeightedText('b')]);
        self::assertCount(3, array_unique($list->ids()));
    }

    public function test_a_response_that_fails_has_drawn_nothing(): void
    {
        $rehearsal = $this->rehearsal(
            DrawOrder::InTurn,
            ['a' => 1, 'b' => 1],
            'x',
            [],
            '[list.items][when word 1 is "stop"][1 / 0][end]',
        );
        $line = static fn (string $key, string $words): array => $rehearsal
            ->line($key, World::people()[0]->person(), "!draw $words", new Moment(0))
            ->texts();
        self::assertSame([['a'], [], ['b']], [$line('1', ''), $line('2', 'stop'), $line('3', '')]);
    }

    /**
     * @param  array<string, int>  $items
     * @return list<string>
     */
    private function draw(DrawOrder $order, array $items, int $times, string $seed): array
    {
        return $this->drawFrom($order, $items, $times, $seed, [])[0];
    }

    /**
     * @param  array<string, int>  $items
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory
     * @return array{list<string>, array<string, null|bool|int|string|array<string, mixed>>}
     */
    private function drawFrom(DrawOrder $order, array $items, int $times, string $seed, array $memory): array
    {
        $rehearsal = $this->rehearsal($order, $items, $seed, $memory, '[list.items]');
        $drawn = [];
        for ($i = 0; $i < $times; $i++) {
            $drawn[] = $rehearsal->line("draw $i", World::people()[0]->person(), '!draw', new Moment(0))->texts()[0];
        }

        return [$drawn, $rehearsal->memory()];
    }

    /**
     * @param  array<string, int>  $items
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory
     */
    private function rehearsal(DrawOrder $order, array $items, string $seed, array $memory, string $response): Rehearsal
    {
        $texts = array_map(
            static fn (string $text, int $weight): WeightedText => new WeightedText($text, $weight),
            array_keys($items),
            $items,
        );
        $pack = new Pack(
            World::pack()->channel,
            commands: [Say::on('!draw', $response)->gated(Cooldown::none())],
            lists: ['items' => new TextList('items', $texts, $order)],
            flood: new Flood(0, 0),
        );

        return new Rehearsal($pack, new InitialState($memory), $seed, ChatProfile::stream());
    }

    /** @param  list<string>  $drawn */
    private function assertNoneTwiceRunning(array $drawn): void
    {
        for ($i = 1; $i < count($drawn); $i++) {
            self::assertNotSame($drawn[$i - 1], $drawn[$i], implode(' ', $drawn));
        }
    }
}
