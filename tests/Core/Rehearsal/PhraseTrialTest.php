<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\TestCase;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Rehearsal\ChatPace;
use SilverParrot\Rehearsal\ChatSample;
use SilverParrot\Rehearsal\PhraseTrial;

/** What phrases would do in a chat that somebody wrote, and what would make them rarer. */
final class PhraseTrialTest extends TestCase
{
    public function test_lines_are_counted_for_the_phrase_that_wins_and_commands_set_off_none(): void
    {
        $command = Say::on('!a', 'x')->saidAs(new Phrase('glue'), new Phrase('glue .. dry'), new Phrase('(never'));
        $trial = PhraseTrial::of(
            Pack::blank()->withCommand($command),
            $command,
            self::sample(['the glue', '!a glue', 'is the glue dry', 'no such thing', '!b the glue']),
        );
        self::assertSame(
            [['the glue', '!b the glue'], ['is the glue dry'], []],
            array_map(static fn (array $lines): array => array_column($lines, 'text'), $trial->hits),
        );
        self::assertSame([2, 1, 0, 0], array_map($trial->heard(...), [0, 1, 2, 9]));
    }

    public function test_lines_that_were_drawn_stand_for_those_that_were_not_and_a_cooldown_lets_no_more_through(): void
    {
        $lines = $evenings = [];
        foreach (['mon', 'tue'] as $evening) {
            for ($minute = 0; $minute < 60; $minute++) {
                $lines[] = $minute % 6 === 0 ? 'glue' : 'wood';
                $evenings[] = [$evening, $minute * 60];
            }
        }
        $command = Say::on('!a', 'x')->saidAs(new Phrase('glue'));
        $of = static fn (int $every): PhraseTrial => PhraseTrial::of(
            Pack::blank(),
            $command,
            self::sample($lines, $evenings, $every),
        );
        self::assertSame([10.0, 10.0, 5.0, 2.0, 1.0], array_map(
            static fn (int $cooldown): float => $of(1)->anEvening(0, $cooldown),
            [0, 360, 361, 1_800, 7_200],
        ));
        // One of ten was drawn: ten times as many, and no more than fit.
        self::assertSame([100.0, 55.0, 10.0], array_map(
            static fn (int $cooldown): float => $of(10)->anEvening(0, $cooldown),
            [0, 60, 360],
        ));
    }

    public function test_what_is_too_common_is_offered_longer_texts_and_a_cooldown_with_their_new_rates(): void
    {
        $lines = $evenings = [];
        for ($minute = 0; $minute < 200; $minute++) {
            $lines[] = match ($minute % 20) {
                0, 7 => 'is the glue dry',
                3, 11, 13 => 'more glue please',
                default => 'nothing to see',
            };
            $evenings[] = ['mon', $minute * 60];
        }
        $phrase = new Phrase('glue');
        $command = Say::on('!a', 'x')->saidAs($phrase, new Phrase('quiet'));
        $trial = PhraseTrial::of(Pack::blank(), $command, self::sample($lines, $evenings));
        self::assertSame([50, true, false], [$trial->heard(0), $trial->isTooCommon(0, 0), $trial->isTooCommon(1, 0)]);
        $rarer = $trial->rarer($phrase, 0);
        // Every longer text is said too often too; only a pause helps.
        self::assertSame([[], [3_600, 4.0]], [$rarer['texts'], $rarer['cooldown']]);
        $few = self::sample([...array_fill(0, 90, 'wood'), ...array_fill(0, 9, 'more glue'), 'is the glue dry']);
        $trial = PhraseTrial::of(Pack::blank(), $command, $few);
        self::assertTrue($trial->isTooCommon(0, 0));
        self::assertCount(2, $trial->rarer($phrase, 0)['texts']);
        foreach ($trial->rarer($phrase, 0)['texts'] as [$text, $rate]) {
            $again = PhraseTrial::of(Pack::blank(), Say::on('!a', 'x')->saidAs(new Phrase($text)), $few);
            self::assertSame($rate, $again->anEvening(0, 0), 'what is offered is what comes of it');
            self::assertFalse($again->isTooCommon(0, 0));
        }
    }

    public function test_the_pace_of_a_chat_says_how_many_lines_a_timer_waits_for(): void
    {
        $pace = static fn (int $lines, int $every, int $apart): ChatPace => ChatPace::of(self::sample(
            array_fill(0, $lines, 'x'),
            array_map(static fn (int $at): array => ['mon', $at * $apart], range(0, $lines - 1)),
            $every,
        ));
        self::assertSame([null, 10], [$pace(49, 1, 60)->halfHour, $pace(49, 1, 60)->lines()]);
        self::assertSame([30, 10], [$pace(61, 1, 60)->halfHour - 1, $pace(61, 1, 60)->lines()]);
        self::assertSame(20, $pace(61, 10, 60)->lines(), 'no more than that');
        self::assertSame(5, $pace(61, 1, 600)->lines(), 'no fewer than that');
    }

    /**
     * @param  list<string>  $texts
     * @param  list<array{string, int}>  $when  evening and second of each
     */
    private static function sample(array $texts, array $when = [], int $every = 1): ChatSample
    {
        $lines = [];
        foreach ($texts as $number => $text) {
            [$evening, $second] = $when[$number] ?? ['mon', $number];
            $lines[] = ['number' => $number, 'text' => $text, 'evening' => $evening, 'second' => $second];
        }

        return new ChatSample($lines, $every);
    }
}
