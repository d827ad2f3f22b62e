<?php

declare(strict_types=1);

namespace Tests\Air;

use Tests\Ground\Sandbox;

/** Lines heard and answered, editions followed, two talkers, many writers. */
final class AirTest extends AirTestCase
{
    /** Two seconds are the promise, in microseconds; a deadline that is the behaviour is tested at twice its figure. */
    private const FOLLOWS = 4_000_000;

    public function test_a_line_is_heard_answered_and_kept_once(): void
    {
        $viewer = $this->viewer('tamsin');
        $before = $this->planks();
        $viewer->say('!count');
        $viewer->awaitSaying((string) ($before + 1));
        self::assertSame($before + 1, $this->planks());
        self::assertSame('handed', $this->value('SELECT state FROM outgoing ORDER BY id DESC LIMIT 1'));
        $viewer->say('no command at all');
        $viewer->say('!tidee');
        usleep(300_000);
        self::assertCount(1, $viewer->saidBy('silver_parrot'));
        self::assertSame('moderator', $this->value('SELECT air_state FROM channels WHERE id = 1'));
    }

    public function test_a_new_edition_a_silence_and_a_pause_are_followed_within_two_seconds(): void
    {
        $viewer = $this->viewer('odo');
        self::publish('second edition says [add 1 to counter.planks]');
        $viewer->await(function () use ($viewer): bool {
            $viewer->say('!count');
            usleep(500_000);

            return str_contains(implode($viewer->saidBy('silver_parrot')), 'second edition says');
        }, 4);
        $viewer->awaitSaying('second edition says', 1);
        $this->air->database()->exec("UPDATE channels SET silenced = '[\"!count\"]' WHERE id = 1");
        usleep(self::FOLLOWS);
        $before = count($viewer->saidBy('silver_parrot'));
        $viewer->say('!count');
        usleep(500_000);
        self::assertCount($before, $viewer->saidBy('silver_parrot'));
        $this->air->database()->exec("UPDATE channels SET silenced = '[]', paused = 1 WHERE id = 1");
        usleep(self::FOLLOWS);
        $viewer->say('!count');
        usleep(500_000);
        self::assertCount($before, $viewer->saidBy('silver_parrot'));
        $this->air->database()->exec('UPDATE channels SET paused = 0 WHERE id = 1');
        self::publish('[add 1 to counter.planks]');
        usleep(self::FOLLOWS);
        $viewer->say('!count');
        self::assertTrue($viewer->await(fn (): bool => count($viewer->saidBy('silver_parrot')) > $before));
    }

    public function test_lines_that_are_delivered_twice_have_one_effect(): void
    {
        $this->trouble('twice');
        $viewer = $this->viewer('greer');
        $before = $this->planks();
        for ($i = 0; $i < 8; $i++) {
            $viewer->say('!count');
        }
        self::assertTrue(
            $viewer->await(
                static fn (ChatClient $self): bool => count(array_unique($self->saidBy('silver_parrot'))) === 8,
            ),
        );
        usleep(500_000);
        self::assertSame($before + 8, $this->planks());
        // The viewer hears each of the eight twice too, and none of them a third time.
        self::assertSame(array_fill(0, 8, 2), array_values(array_count_values($viewer->saidBy('silver_parrot'))));
        $this->trouble('twice', 1);
        usleep(1_100_000);
    }

    public function test_details_of_a_person_are_asked_for_and_what_comes_too_late_is_a_gap_while_others_go_on(): void
    {
        self::publish('[add 1 to counter.planks]', 'You follow [caller.followed or "nobody"].');
        usleep(self::FOLLOWS);
        $viewer = $this->viewer('tamsin');
        $viewer->say('!since');
        $viewer->awaitSaying('You follow');
        self::assertStringNotContainsString('nobody', $viewer->awaitSaying('You follow'));
        // Odo's details come after five seconds, the deadline is three; Signe does not wait for him.
        $this->trouble('slow', 20);
        $slow = $this->viewer('odo');
        $slow->say('!since');
        $other = $this->viewer('signe');
        usleep(100_000);
        $start = hrtime(true);
        $other->say('!count');
        self::assertTrue(
            $other->await(
                static fn (ChatClient $self): bool => preg_grep('/^\d+$/', $self->saidBy('silver_parrot')) !== [],
            ),
        );
        self::assertLessThan(2e9, hrtime(true) - $start);
        $slow->awaitSaying('You follow nobody.', 10);
        $this->trouble('slow', 1);
        self::publish('[add 1 to counter.planks]');
    }

    public function test_whoever_spoke_is_remembered_and_can_be_named(): void
    {
        $this->viewer('maren')->say('good evening');
        for ($tries = 0; $tries < 60 && $this->viewerRow('maren') === null; $tries++) {
            usleep(100_000);
        }
        self::assertSame(
            ['harbour', hash('xxh32', 'maren'), 'maren', 1],
            array_values($this->viewerRow('maren') ?? []),
        );
    }

    public function test_a_second_talker_takes_over_and_the_first_is_fenced_when_it_wakes(): void
    {
        $first = $this->air->instance()['servers']['air']['pid'];
        $epoch = $this->epoch();
        $second = proc_open(
            [PHP_BINARY, Sandbox::project().'/artisan', 'parrot:air'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['redirect', 1]],
            $pipes,
            Sandbox::project(),
            ['AIR_NICK' => 'second_parrot'] + $this->air->environment(),
        );
        self::assertIsResource($second);
        try {
            usleep(2_500_000);
            self::assertSame($epoch, $this->epoch(), 'while the first lives, the second waits');
            posix_kill($first, SIGSTOP);
            $start = microtime(true);
            while ($this->epoch() === $epoch && microtime(true) - $start < 12) {
                usleep(50_000);
            }
            // Five seconds are the promise; a deadline that is the behaviour is tested at twice its figure.
            self::assertLessThan(10, microtime(true) - $start);
            $viewer = $this->viewer('rafe');
            // It enters the chat with its next beat.
            usleep(2_500_000);
            $viewer->say('!count');
            self::assertTrue(
                $viewer->await(static fn (ChatClient $self): bool => $self->saidBy('second_parrot') !== []),
            );
            posix_kill($first, SIGCONT);
            usleep(2_500_000);
            $before = $this->planks();
            $viewer->say('!count');
            usleep(1_000_000);
            self::assertSame($before + 1, $this->planks());
            self::assertSame([], $viewer->saidBy('silver_parrot'), 'the first says nothing more');
        } finally {
            posix_kill($first, SIGCONT);
            proc_terminate($second);
            proc_close($second);
        }
    }

    public function test_sixteen_writers_on_one_counter_lose_nothing(): void
    {
        $writers = [];
        for ($i = 0; $i < 16; $i++) {
            $writers[] = proc_open(
                [PHP_BINARY, __DIR__.'/writer.php', (string) $i, '20'],
                [
                    ['file', '/dev/null', 'r'],
                    ['file', '/dev/null', 'w'],
                    ['file', $this->air->home."/writer$i.log", 'w'],
                ],
                $pipes,
                Sandbox::project(),
                $this->air->environment(),
            );
        }
        foreach ($writers as $i => $writer) {
            self::assertIsResource($writer);
            self::assertSame(0, proc_close($writer), (string) file_get_contents($this->air->home."/writer$i.log"));
        }
        self::assertSame(
            '320',
            $this->value("SELECT number FROM counter_numbers WHERE channel_id = 1 AND counter = 'writers'"),
        );
    }
}
