<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Trace\Entry;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Triggers;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Message;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

final class EventHandlerTest extends TestCase
{
    private int $lines = 0;

    public function test_the_first_word_sets_a_command_off_caseless_and_past_what_cannot_be_seen(): void
    {
        $rehearsal = $this->rehearsal(
            Say::on('!tide', 'high at four, [words]')->alsoOn('!Flut')->gated(Cooldown::none()),
        );
        foreach (['!tide now', '!TIDE now', "\u{200B}!tide now \u{E0000}", '  !flut   now'] as $line) {
            self::assertSame(['high at four, now'], $this->hear($rehearsal, $line)->texts(), $line);
        }
        foreach (['tide now', 'the !tide now', '!tides', ''] as $line) {
            self::assertSame([], $this->hear($rehearsal, $line)->texts(), $line);
            self::assertNull($this->hear($rehearsal, $line)->command);
        }
    }

    public function test_a_mistyped_trigger_is_told_with_the_nearest(): void
    {
        $why = $this->why($this->hear($this->rehearsal(Say::on('!tide', 'x')), '!tidee'));
        self::assertSame('why.mistyped-near !tidee !tide', $why[1]);
        $why = $this->why($this->hear($this->rehearsal(Say::on('!tide', 'x')), '!anchor'));
        self::assertSame('why.mistyped !anchor ', $why[1]);
    }

    public function test_a_line_is_said_as_the_renamed_command_is_called(): void
    {
        $from = new Triggers('!tide', ['!flut']);
        foreach (
            [
                '!TIDE  porth  and more' => '!ebb porth  and more',
                '!flut' => '!ebb',
                '!tides porth' => '!tides porth',
                'the !tide' => 'the !tide',
                '' => '',
            ] as $line => $renamed
        ) {
            self::assertSame($renamed, TriggerMatch::renamed($line, $from, new Triggers('!ebb')), $line);
        }
        self::assertSame(
            '!tide porth',
            TriggerMatch::renamed('!tide porth', $from, new Triggers('!ebb', ['!Tide'])),
            'it is an alias now',
        );
    }

    public function test_levels_admit_any_of_some_or_at_least_one_and_the_streamer_always(): void
    {
        $any = new LevelRule([Level::Subscriber, Level::Vip]);
        $least = new LevelRule([], Level::Vip);
        $cases = [
            [Levels::of(), false, false],
            [Levels::of(Level::Subscriber), true, false],
            [Levels::of(Level::Vip), true, true],
            [Levels::of(Level::Moderator), false, true],
            [Levels::of(Level::Streamer), true, true],
        ];
        foreach ($cases as [$levels, $byAny, $byLeast]) {
            self::assertSame($byAny, $any->admits($levels));
            self::assertSame($byLeast, $least->admits($levels));
            self::assertTrue((new LevelRule)->admits($levels));
        }
        self::assertSame(
            ['everyone', 'subscribers and VIPs', 'VIPs and up'],
            [(new LevelRule)->inWords(), $any->inWords(), $least->inWords()],
        );
    }

    public function test_a_closed_gate_has_a_reason_a_way_to_open_it_and_its_refusal_reply(): void
    {
        $rehearsal = $this->rehearsal(
            Say::on('!splinter', 'ouch')
                ->gated(new ForLevels(new LevelRule([], Level::Moderator)))
                ->refusing(ForLevels::refusal(), 'Only [outcome.needs], [caller].'),
        );
        $outcome = $this->hear($rehearsal, '!splinter');
        self::assertSame(['Only moderators and up, Tamsin.'], $outcome->texts());
        self::assertSame('level', $outcome->closed?->gate);
        self::assertEquals(
            new Message('refusals.level.reason', ['needs' => 'moderators and up']),
            $outcome->closed->reason,
        );
        self::assertSame(
            [],
            array_filter(
                $outcome->changes,
                static fn ($change): bool => $change->key->kind === \SilverParrot\Memory\Kind::LastRun
                    && $change->key->name !== '',
            ),
            'a refusal starts no cooldown',
        );
        self::assertSame(['ouch'], $this->hear($rehearsal, '!splinter', 0, 'bram')->texts());
    }

    public function test_nobody_makes_the_parrot_refuse_again_and_again(): void
    {
        $closed = static fn (string $trigger): Command => Say::on($trigger, 'x')
            ->gated(Cooldown::none(), ForLevels::atLeast(Level::Streamer))
            ->refusing(ForLevels::refusal(), 'No.');
        $pack = World::pack()->withCommand($closed('!a'))->withCommand($closed('!b'));
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        foreach (
            [
                [0, 'tamsin', '!a', ['No.']],
                [4, 'odo', '!a', []],
                [5, 'odo', '!b', ['No.']],
                [29, 'tamsin', '!b', []],
                [30, 'tamsin', '!b', ['No.']],
            ] as [$second, $who, $line, $said]
        ) {
            $outcome = $this->hear($rehearsal, $line, $second, $who);
            self::assertSame($said, $outcome->texts(), "$who at $second");
            self::assertSame($said === [], in_array('why.reply-held-back', $this->why($outcome), true));
        }
    }

    public function test_the_channel_cooldown_holds_everybody_back_and_the_persons_only_that_person(): void
    {
        $rehearsal = $this->rehearsal(
            Say::on('!knot', 'bowline')
                ->gated(new Cooldown(10, 60))
                ->refusing(Cooldown::refusal(), 'again in [outcome.left]'),
        );
        self::assertSame(['bowline'], $this->hear($rehearsal, '!knot', 0)->texts());
        $closed = $this->hear($rehearsal, '!knot', 4, 'bram');
        self::assertEquals(new Message('refusals.cooldown.reason', ['seconds' => 6]), $closed->closed?->reason);
        self::assertSame(['again in 6 seconds'], $closed->texts());
        self::assertSame(
            [],
            array_filter(
                $this->hear($rehearsal, '!knot', 9, 'bram')->texts(),
                static fn (string $text): bool => $text === 'bowline',
            ),
            'a second before its end it is closed',
        );
        self::assertSame(
            ['bowline'],
            $this->hear($rehearsal, '!knot', 10, 'bram')->texts(),
            'at its very end it is open',
        );
        self::assertEquals(
            new Message('refusals.cooldown-of-person.reason', ['seconds' => 39]),
            $this->hear($rehearsal, '!knot', 21)->closed?->reason,
        );
        self::assertSame(['bowline'], $this->hear($rehearsal, '!knot', 60)->texts());
    }

    public function test_people_who_rotate_commands_get_five_answers_in_half_a_minute_and_the_channel_twenty(): void
    {
        $pack = World::pack();
        foreach (['!a', '!b', '!c'] as $trigger) {
            $pack = $pack->withCommand(
                Say::on($trigger, 'x')
                    ->gated(
                        new ForLevels($trigger === '!c' ? new LevelRule([], Level::Streamer) : new LevelRule),
                        Cooldown::none(),
                    )
                    ->refusing(ForLevels::refusal(), 'no'),
            );
        }
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        $said = 0;
        for ($i = 0; $i < 12; $i++) {
            $outcome = $this->hear($rehearsal, ['!a', '!b', '!c'][$i % 3], $i);
            $said += count($outcome->sayings);
        }
        self::assertSame(5, $said, 'refusals count as answers');
        $closed = $this->hear($rehearsal, '!a', 12)->closed;
        self::assertEquals(
            new Message('refusals.flood-of-person.reason', ['seconds' => 18, 'most' => 5]),
            $closed?->reason,
        );
        self::assertSame(['x'], $this->hear($rehearsal, '!a', 31)->texts());
        for ($i = 0; $i < 25; $i++) {
            $stranger = Person::known("id$i", "viewer$i", '', Levels::of());
            $said += count($rehearsal->line("flood $i", $stranger, '!b', $this->now(100))->sayings);
        }
        self::assertSame(5 + 20, $said);
    }

    public function test_what_was_noted_under_a_clock_that_was_wrong_closes_nothing(): void
    {
        $rehearsal = $this->rehearsal(Say::on('!a', 'x')->gated(new Cooldown(10, 60)));
        // An hour ahead, then the clock is put right.
        self::assertSame(['x'], $this->hear($rehearsal, '!a', 3600)->texts());
        self::assertSame(['x'], $this->hear($rehearsal, '!a', 0)->texts());
        self::assertSame('channel cooldown', $this->hear($rehearsal, '!a', 1)->closed?->gate);
        // A line that comes a moment out of order is another thing.
        $rehearsal = $this->rehearsal(Say::on('!a', 'x')->gated(new Cooldown(10, 60)));
        $this->hear($rehearsal, '!a', 5);
        self::assertSame('channel cooldown', $this->hear($rehearsal, '!a', 3)->closed?->gate);
    }

    public function test_a_response_that_fails_changes_nothing_says_its_other_text_and_starts_the_cooldown(): void
    {
        $rehearsal = $this->rehearsal(
            Say::on('!give', '[add 1 to counter.planks][take 99 from caller.pebbles]')->failing(
                'no gift: [outcome.reason]',
            ),
        );
        $outcome = $this->hear($rehearsal, '!give', 0);
        self::assertSame(['no gift: failures.not-enough pebbles 40'], $outcome->texts());
        self::assertSame('not-enough', $outcome->failed?->reason);
        self::assertSame([], $outcome->authoredChanges());
        self::assertSame('channel cooldown', $this->hear($rehearsal, '!give', 5)->closed?->gate);
    }

    public function test_the_reply_to_a_failure_draws_on_and_changes_nothing_else(): void
    {
        $rehearsal = $this->rehearsal(
            Say::on('!give', '[1 / 0]')
                ->failing('[list.tools][add 1 to counter.planks | quiet]')
                ->gated(Cooldown::none()),
        );
        $said = [];
        foreach ([0, 1, 2] as $at) {
            $outcome = $this->hear($rehearsal, '!give', $at);
            self::assertSame([], $outcome->authoredChanges());
            array_push($said, ...$outcome->texts());
        }
        self::assertSame(['adze', 'mallet', 'adze'], $said);
    }

    public function test_a_command_that_is_switched_off_stays_silent_and_says_why(): void
    {
        $outcome = $this->hear($this->rehearsal(Say::on('!regatta', 'soon')->gated(new Enabled(false))), '!regatta');
        self::assertSame(['switched-off', []], [$outcome->closed?->code, $outcome->texts()]);
    }

    public function test_what_a_talker_says_sets_nothing_off(): void
    {
        $pack = new Pack(World::pack()->channel, 'silver_parrot', ['harbour_bell'], [Say::on('!tide', 'x')]);
        $rehearsal = new Rehearsal($pack, World::situation(World::pack()), '1', ChatProfile::stream());
        foreach (['silver_parrot', 'harbour_bell'] as $login) {
            $outcome = $rehearsal->line(
                $login,
                Person::known($login, $login, 'Bell', Levels::of(Level::Streamer)),
                '!tide',
                $this->now(0),
            );
            self::assertSame([], $outcome->sayings);
            self::assertStringContainsString('talker', $this->why($outcome)[1]);
        }
    }

    public function test_several_responses_are_drawn_by_weight_and_the_same_line_draws_the_same(): void
    {
        $command = Say::on('!luck', Say::response('a', 1), Say::response('b', 3))->gated(Cooldown::none());
        $drawn = [];
        for ($i = 0; $i < 400; $i++) {
            $drawn[] = (new Rehearsal(
                World::pack()->withCommand($command),
                World::situation(World::pack()),
                'seed',
                ChatProfile::stream(),
            ))
                ->line("line $i", World::people()[0]->person(), '!luck', $this->now(0))
                ->texts()[0];
        }
        // Binomial(400, 0.75), .0005 and .9995 quantiles: 270 and 327 (R 4.2.2, qbinom).
        $b = array_count_values($drawn)['b'];
        self::assertTrue($b >= 270 && $b <= 327, (string) $b);
        $again = (new Rehearsal(
            World::pack()->withCommand($command),
            World::situation(World::pack()),
            'seed',
            ChatProfile::stream(),
        ))->line('line 7', World::people()[0]->person(), '!luck', $this->now(0));
        self::assertSame([$drawn[7]], $again->texts());
    }

    public function test_voice_and_place_go_with_the_saying(): void
    {
        $saying = $this->hear(
            $this->rehearsal(Say::on('!x', 'y')->delivered(new Delivery(voice: Voice::Streamer, place: Place::Reply))),
            '!x',
        )->sayings[0];
        self::assertSame(
            [Voice::Streamer, Place::Reply, 'line 1'],
            [$saying->voice, $saying->place, $saying->answerTo],
        );
        // On a plain server the name of who speaks takes room in the line: "lantern_cove" is shorter than
        // "silver_parrot" by one, and stands there twice.
        $long = static fn (Voice $voice): Pack => World::pack()->withCommand(
            Say::on('!x', str_repeat('plank ', 90))->delivered(new Delivery(voice: $voice)),
        );
        [$parrot, $streamer] = array_map(
            fn (Voice $voice): int => strlen(
                (new Rehearsal($long($voice), World::situation(World::pack()), '1', ChatProfile::irc()))
                    ->line('x', World::people()[0]->person(), '!x', $this->now(0))
                    ->texts()[0] ?? '',
            ),
            [Voice::Parrot, Voice::Streamer],
        );
        self::assertGreaterThan(350, $streamer);
        self::assertGreaterThanOrEqual($parrot, $streamer);
    }

    public function test_the_why_tells_the_whole_story_in_order(): void
    {
        $outcome = $this->hear(
            $this->rehearsal(Say::on('!plank', '[when words][add word 1 to counter.planks][else]none[end] ok')),
            '!plank 2',
        );
        self::assertSame(
            [
                'why.heard Tamsin !plank 2',
                'why.triggered !plank !plank',
                'why.gate-open switched on',
                'why.gate-open level',
                'why.gate-open channel cooldown',
                'why.gate-open person cooldown',
                'why.choice [when words] 0 12 yes',
                'why.slot [add word 1 to counter.planks] 12 42 5',
                'why.changed counter.planks channel 3 5',
            ],
            $this->why($outcome),
        );
    }

    public function test_a_saying_of_which_nothing_is_left_is_silence_with_a_reason(): void
    {
        $outcome = $this->hear($this->rehearsal(Say::on('!echo', '[words]')), '!echo //');
        self::assertSame([], $outcome->sayings);
        self::assertContains('why.fitted fitted.instruction //', $this->why($outcome));
        self::assertContains('why.fitted fitted.nothing-left', $this->why($outcome));
    }

    private function rehearsal(Command $command): Rehearsal
    {
        $pack = World::pack()->withCommand($command);

        return new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
    }

    private function hear(Rehearsal $rehearsal, string $line, int $second = 0, string $login = 'tamsin'): Outcome
    {
        foreach (World::people() as $member) {
            if ($member->login === $login) {
                return $rehearsal->line('line '.++$this->lines, $member->person(), $line, $this->now($second));
            }
        }
        self::fail("$login is not in the cast");
    }

    private function now(int $second): Moment
    {
        $now = Moment::fromIso(World::NOW);
        self::assertNotNull($now);

        return $now->plusMillis($second * 1000);
    }

    /** @return list<string> */
    private function why(Outcome $outcome): array
    {
        return array_map(
            static fn (Entry $entry): string => (new MessageKeys)->of($entry->message()),
            $outcome->trace?->entries() ?? [],
        );
    }
}
