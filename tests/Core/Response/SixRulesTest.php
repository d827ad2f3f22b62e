<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Fact;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Response;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/** The six rules that make the language safe to give to anybody, one after the other. */
final class SixRulesTest extends TestCase
{
    private int $lines = 0;

    /** 1. Text from people is never read as a response. */
    public function test_text_from_people_is_never_read_as_a_response(): void
    {
        $bait = '[add 99 to counter.planks][when yes]x[end] [caller]';
        foreach (
            [
                '[words]',
                '[message | cut 60]',
                '[set caller.boat to words][caller.boat]',
                '[fact.trap]',
                '[lookup.wind.name]',
                '[quote 12]',
                '[words | replace "x" "[now]"]',
                '[target]',
                '[words as w][w] [w | upper]',
            ] as $source
        ) {
            $outcome = $this->say($source, $bait);
            self::assertNull($outcome->failed, $source);
            self::assertSame(
                [],
                array_filter(
                    $outcome->changes,
                    static fn ($change): bool => $change->key->id() === Key::counter('planks')->id(),
                ),
                $source,
            );
        }
        // Nor an instruction to the chat or to another talker, whatever it went through.
        foreach (['[words]', '[fact.echo]', '[fact.echo | lower]', '[when words][fact.echo | cut 9][end]'] as $source) {
            self::assertSame(['ban odo'], $this->say($source, '!ban odo')->texts(), $source);
        }
        self::assertSame([$bait], $this->say('[words]', $bait)->texts());
        // A display name, too, is text from people.
        $named = $this->say(
            '[caller]',
            '',
            by: Person::known('1', 'tamsin', '[add 1 to counter.planks]', Levels::of()),
        );
        self::assertSame(['[add 1 to counter.planks]'], $named->texts());
    }

    /** 2. All or nothing, and the cooldown starts all the same. */
    public function test_a_response_that_fails_anywhere_has_changed_nothing(): void
    {
        foreach (
            [
                '[add 1 to counter.planks][1 / 0]',
                '[add 1 to counter.planks][lookup.none.such]',
                '[take 5 from caller.pebbles][add 5 to target.pebbles]',
                '[set caller.boat to "Heron"][take 999 from caller.pebbles]',
                '[list.winds][1 / 0]',
                '[clear occasion.leak][roll 0]',
                '[add 2 to goods.rope][words as w][w][top 0 by pebbles]',
            ] as $source
        ) {
            $outcome = $this->say($source, 'nobody_yet');
            self::assertNotNull($outcome->failed, $source);
            self::assertSame([], $outcome->authoredChanges(), $source);
            self::assertSame([], $outcome->texts(), $source);
        }
        $command = Say::on('!say', '[1 / 0]')->gated(new Cooldown(10, 0))->failing('That did not work.');
        $rehearsal = new Rehearsal(
            World::pack()->withCommand($command),
            World::situation(World::pack()),
            '1',
            ChatProfile::stream(),
        );
        self::assertSame(['That did not work.'], $this->line($rehearsal, '!say', 0)->texts());
        self::assertSame('channel cooldown', $this->line($rehearsal, '!say', 5)->closed?->gate);
    }

    /** 3. Nobody steers the parrot. */
    public function test_nothing_that_came_out_of_a_slot_begins_with_an_instruction(): void
    {
        foreach (
            [
                '/ban odo',
                './me',
                '/ /ban odo',
                "\u{200B}/ban odo",
                "\u{202E}.ban odo",
                "\u{3164}/ban odo",
                '[/ban odo',
                "/\u{200D}/ban",
            ] as $typed
        ) {
            foreach (['[words]', ' [words]', '[nothing][words]', '[words | trim]'] as $source) {
                $said = $this->say($source, $typed)->texts()[0] ?? '';
                self::assertSame(
                    0,
                    preg_match('/^[\p{Z}\p{Cc}\p{Cf}]*[\/.]/u', $said),
                    "{$source} said “{$said}” for “{$typed}”",
                );
            }
        }
        self::assertSame([], $this->say('[words]', '/')->texts(), 'where nothing is left, the parrot is silent');
        self::assertSame(['/shrug'], $this->say('/shrug', '')->texts(), 'what the author wrote stays');
        self::assertSame(
            ['a PRIVMSG b'],
            $this->say('[words]', "a\r\nPRIVMSG b")->texts(),
            'a line break becomes a space',
        );
    }

    /** 4. Amounts are honest. */
    public function test_amounts_are_honest(): void
    {
        foreach (['-5', '-0.5', '2.5', '1e9', '0x10', '1,000', 'five', '９９９９９９９９９９９９９９９９'] as $typed) {
            self::assertNotNull($this->say('[add word 1 to counter.planks]', $typed)->failed, $typed);
            self::assertNotNull($this->say('[take word 1 from caller.pebbles]', $typed)->failed, $typed);
        }
        self::assertSame(
            ['1000'],
            $this->say('[add 5000 to counter.planks]', '')->texts(),
            'a counter stops at its ceiling',
        );
        self::assertSame(['0'], $this->say('[take 5000 from counter.planks]', '')->texts(), 'and at its floor');
        self::assertSame(
            'not-enough',
            $this->say('[take 41 from caller.pebbles]', '')->failed?->reason,
            'points refuse',
        );
        self::assertSame(
            'unknown-person',
            $this->say('[add 1 to target.pebbles]', 'nobody_yet')->failed?->reason,
            'whoever was never seen gets nothing',
        );
    }

    /** 5. Bounded: each limit, and one beyond it. */
    public function test_every_bound_ends_in_a_finding_or_a_failure(): void
    {
        $codes = static fn (string $source): array => array_map(
            static fn (Finding $finding): string => $finding->kind->code(),
            Response::of($source)->findings(World::pack()),
        );
        self::assertSame([], $codes(str_repeat('x', Limits::SOURCE)));
        self::assertContains('too-long', $codes(str_repeat('x', Limits::SOURCE + 1)));
        self::assertSame(
            [],
            $codes(str_repeat('[when 1]', Limits::NESTING).'x'.str_repeat('[end]', Limits::NESTING)),
        );
        self::assertContains(
            'too-deep',
            $codes(str_repeat('[when 1]', Limits::NESTING + 1).'x'.str_repeat('[end]', Limits::NESTING + 1)),
        );
        self::assertSame([], $codes(str_repeat('[now]', Limits::SLOTS)));
        self::assertContains('too-many-slots', $codes(str_repeat('[now]', Limits::SLOTS + 1)));
        self::assertSame('too-much-said', $this->say(str_repeat('[words]', 9), str_repeat('w', 490))->failed?->reason);
        self::assertSame(
            'too-large',
            $this->say('['.implode(' * ', array_fill(0, 3, '999999999999999')).']', '')->failed?->reason,
        );
        self::assertSame('bad-roll', $this->say('[roll 0 to '.Limits::WIDEST_ROLL.']', '')->failed?->reason);
    }

    public function test_what_cannot_be_read_fails_with_its_mistake(): void
    {
        self::assertEquals(
            new Message('failures.unreadable-because', ['why' => 'There is no filter named dat.']),
            $this->say('Ahoy! [now | dat] [nobodys]', '')->failed?->message(),
        );
    }

    public function test_whoever_was_never_seen_is_named_where_nothing_can_be_kept_for_them(): void
    {
        $sources = ['[add 1 to counter.visits for target]', '[add 1 to target.pebbles]'];
        foreach ($sources as $source) {
            self::assertEquals(
                new Message('failures.unknown-person', ['typed' => 'Signe']),
                $this->say($source, '@Signe')->failed?->message(),
            );
            self::assertEquals(
                new Message('failures.nobody-named'),
                $this->say($source, '')->failed?->message(),
                $source,
            );
        }
    }

    public function test_what_a_service_tells_for_a_count_and_is_none_was_not_told(): void
    {
        $told = [
            [-1, null],
            [PHP_INT_MAX, null],
            ['many', null],
            [true, null],
            [0, '0'],
            [Limits::COUNTER, '999999999999999'],
        ];
        foreach ($told as [$viewers, $said]) {
            $pack = World::pack()->withCommand(Say::on('!say', '[channel.viewers]'));
            $rehearsal = new Rehearsal(
                $pack,
                new InitialState([], ['viewers' => $viewers]),
                '1',
                ChatProfile::stream(),
            );
            $outcome = $rehearsal->line('1', World::people()[0]->person(), '!say', new Moment(1_795_597_200_000));
            self::assertSame(
                $said === null ? [[], 'details-down'] : [[$said], null],
                [$outcome->texts(), $outcome->failed?->reason],
            );
        }
    }

    /**
     * 6. Repeatable: same pack, memory, moment, seed, cast and results, same words; another seed or event, other luck.
     */
    public function test_the_same_circumstances_say_the_same_words(): void
    {
        $source = '[roll 1 to 1000000] [list.knots] [either "port", "starboard"] [now] [quote] [lookup.wind.speed]';
        $said = fn (string $seed, string $key): string => (new Rehearsal(
            World::pack()->withCommand(Say::on('!say', $source)),
            World::situation(World::pack()),
            $seed,
            ChatProfile::stream(),
        ))
            ->line($key, World::people()[0]->person(), '!say', $this->now(0))
            ->texts()[0] ?? '';
        self::assertSame($said('1', 'a'), $said('1', 'a'));
        self::assertNotSame($said('1', 'a'), $said('2', 'a'));
        self::assertNotSame($said('1', 'a'), $said('1', 'b'));
    }

    private function say(string $source, string $typed, ?Person $by = null): Outcome
    {
        $pack = World::pack()
            ->withFact(new Fact('echo', '[words]', isResponse: true))
            ->withCommand(Say::on('!say', $source)->gated(Cooldown::none()));
        $situation = World::situation($pack);
        $rehearsal = new Rehearsal(
            $pack,
            new InitialState(
                $situation->memory,
                $situation->channel,
                $situation->readings,
                $situation->people,
                $situation->quotes,
            ),
            '1',
            ChatProfile::stream(),
        );

        return $rehearsal->line(
            'line '.++$this->lines,
            $by ?? World::people()[0]->person(),
            "!say $typed",
            $this->now(0),
        );
    }

    private function line(Rehearsal $rehearsal, string $text, int $second): Outcome
    {
        return $rehearsal->line('line '.++$this->lines, World::people()[0]->person(), $text, $this->now($second));
    }

    private function now(int $second): Moment
    {
        return (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis($second * 1000);
    }
}
