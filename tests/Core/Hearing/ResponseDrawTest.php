<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Flood;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** Which of several responses is given: to whom, in which category, and in which order. */
final class ResponseDrawTest extends TestCase
{
    private int $lines = 0;

    public function test_a_response_is_drawn_only_for_those_and_there_where_it_is_meant(): void
    {
        $rehearsal = self::rehearsal(Say::on(
            '!a',
            Say::response('for all'),
            Say::response('for moderators')->gated(ForLevels::atLeast(Level::Moderator)),
            Say::response('while rigging')->gated(new InCategory(['Rigging'])),
            Say::response('never')->gated(new Enabled(false)),
        ));
        $said = ['tamsin' => [], 'bram' => []];
        for ($time = 0; $time < 60; $time++) {
            foreach (array_keys($said) as $who) {
                $said[$who][$this->hear($rehearsal, $who)->texts()[0]] = true;
            }
        }
        ksort($said['bram']);
        self::assertSame(
            ['tamsin' => ['for all'], 'bram' => ['for moderators']],
            array_map(array_keys(...), $said),
            'whoever has a reply of their own gets no other',
        );
    }

    public function test_the_reply_for_the_fewest_goes_first_so_that_one_trigger_shows_and_sets(): void
    {
        $rehearsal = self::rehearsal(Say::on(
            '!a',
            Say::response('planks: [counter.planks]'),
            Say::response('now [add 1 to counter.planks]')->gated(ForLevels::atLeast(Level::Moderator)),
            Say::response('any of two')->gated(ForLevels::anyOf(Level::Subscriber, Level::Vip)),
            Say::response('for Quill by name')->gated(ForLevels::persons('quill')),
        ));
        foreach (
            [
                'tamsin' => 'planks: 3',
                'bram' => 'now 4',
                'odo' => 'any of two',
                'wren' => 'now 5',
            ] as $who => $said
        ) {
            self::assertSame([$said], $this->hear($rehearsal, $who)->texts(), $who);
        }
    }

    public function test_where_none_is_meant_nothing_is_said_and_nothing_is_spent(): void
    {
        $rehearsal = self::rehearsal(
            Say::on('!a', Say::response('x')->gated(ForLevels::atLeast(Level::Moderator)))
                ->gated(new Cooldown(60, 60), new \SilverParrot\Hearing\Gates\Cost(5)),
        );
        $outcome = $this->hear($rehearsal, 'tamsin');
        self::assertSame(['no-reply', [], []], [$outcome->closed?->code, $outcome->texts(), $outcome->changes]);
        self::assertSame(['x'], $this->hear($rehearsal, 'bram')->texts());
    }

    public function test_each_order_does_what_it_says_of_responses_as_of_lists(): void
    {
        $texts = ['one', 'two', 'three'];
        foreach (DrawOrder::cases() as $order) {
            $rehearsal = self::rehearsal(Say::on('!a', ...array_map(Say::response(...), $texts))->drawn($order));
            $said = $other = [];
            for ($time = 0; $time < 12; $time++) {
                $said[] = $this->hear($rehearsal, 'tamsin')->texts()[0];
                $other[] = $order === DrawOrder::OneADay ? $this->hear($rehearsal, 'bram')->texts()[0] : '';
            }
            $rounds = array_map(static function (array $round): array {
                sort($round);

                return $round;
            }, array_chunk($said, 3));
            $twice = count(array_filter(
                array_slice($said, 1),
                static fn (string $text, int $before): bool => $text === $said[$before],
                ARRAY_FILTER_USE_BOTH,
            ));
            match ($order) {
                DrawOrder::InTurn => self::assertSame([...$texts, ...$texts, ...$texts, ...$texts], $said),
                DrawOrder::Shuffled => self::assertSame(array_fill(0, 4, ['one', 'three', 'two']), $rounds),
                DrawOrder::NoRepeat => self::assertSame(0, $twice),
                DrawOrder::OneADay => self::assertSame([1, 1], [
                    count(array_unique($said)),
                    count(array_unique($other)),
                ]),
                DrawOrder::Free => self::assertGreaterThan(0, $twice),
            };
        }
    }

    public function test_it_is_kept_in_a_document_and_told_in_the_sentence(): void
    {
        $document = [
            'trigger' => '!a',
            'responses' => [
                ['text' => 'x'],
                [
                    'text' => 'y',
                    'enabled' => false,
                    'levels' => ['at_least' => 'vip'],
                    'category' => ['only' => ['Rigging']],
                ],
            ],
            'order' => 'in_turn',
            'cooldown' => ['channel' => 0, 'person' => 0],
        ];
        $command = CommandFormat::read(Document::of($document));
        self::assertSame($document, CommandFormat::write($command));
        self::assertSame(
            [
                'summary.anyone',
                'summary.no-cooldown',
                'summary.order orders.in_turn',
                'summary.reply 2 summary.levels VIPs and up',
                'summary.reply 2 summary.category Rigging',
                'summary.reply-off 2',
            ],
            array_map((new MessageKeys)->of(...), CommandSummary::of($command)->parts),
        );
        // What is for a whole command is not for one response.
        $wrong = Document::of(['trigger' => '!a', 'responses' => [['text' => 'x', 'cooldown' => []]]]);
        CommandFormat::read($wrong);
        self::assertCount(1, $wrong->findings());
    }

    private static function rehearsal(Command $command): Rehearsal
    {
        $command = $command->gates->given() === [] ? $command->gated(Cooldown::none()) : $command;
        $pack = World::pack()->withCommand($command)->withFlood(new Flood(0, 0));

        return new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
    }

    private function hear(Rehearsal $rehearsal, string $who): Outcome
    {
        foreach (World::people() as $member) {
            if ($member->login === $who) {
                $this->lines++;
                $at = Moment::fromIso(World::NOW)?->plusMillis($this->lines * 1000) ?? new Moment(0);

                return $rehearsal->line("line {$this->lines}", $member->person(), '!a', $at);
            }
        }
        self::fail("$who is not in the cast");
    }
}
