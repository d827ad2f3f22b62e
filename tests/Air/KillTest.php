<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\Attributes\DataProvider;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;

/** Memory: exactly once. Sayings: at most once. Whoever is killed, and wherever. */
final class KillTest extends AirTestCase
{
    use TalkerOfItsOwn;

    private const ROUNDS = 20;

    /** How often a timer comes due. */
    private const DUE = 5;

    public function test_twenty_kills_of_the_talker_at_seeded_times(): void
    {
        mt_srand(20261125);
        $this->survive(function (int $round): void {
            $epoch = $this->epoch();
            posix_kill($this->air->instance()['servers']['air']['pid'], SIGKILL);
            $this->awaitTalker($epoch);
        });
    }

    public function test_twenty_kills_of_the_database_at_seeded_times(): void
    {
        mt_srand(20261126);
        $this->survive(function (int $round): void {
            posix_kill($this->air->instance()['servers']['database']['pid'], SIGKILL);
            // Whoever dies at once after a start is started again only after a pause, so each round lets it live for a
            // while.
            sleep(3);
            // A talker that finds no memory any more dies, and the next one takes a new lease; one that missed nothing
            // goes on.
            $this->awaitTalker();
        });
    }

    /**
     * @return iterable<string, array{string, bool, int}> the point, whether the database is killed and not the talker,
     *     answers that are never said
     */
    public static function points(): iterable
    {
        foreach (['before-key', 'before-commit', 'after-commit', 'after-write'] as $point) {
            // Kept as handed on, and not written: at most once means that it is never said.
            yield "the talker, $point" => [$point, false, $point === 'after-commit' ? 1 : 0];
            yield "the database, $point" => [$point, true, 0];
        }
    }

    #[DataProvider('points')]
    public function test_a_kill_at_each_point_of_the_way(string $point, bool $ofDatabase, int $neverSaid): void
    {
        $this->startUntilThere(
            $this->stopTheFirst(),
            fn () => $this->startTalker([$point, '3', (string) ($ofDatabase ? $this->databaseNow() : 0)]),
        );
        [$before, $viewer] = [$this->planks(), $this->viewer('watch'.crc32("$point $ofDatabase"))];
        $epoch = $this->epoch();
        for ($i = 0; $i < 6; $i++) {
            $viewer->say('!count');
            usleep(60_000);
        }
        $this->restartUntilThere($epoch);
        $still = $this->planks();
        $viewer->say('!count');
        $isAnswered = $viewer->await(
            fn (ChatClient $self): bool => $this->planks() > $still
                && max([0, ...array_map(intval(...), $self->saidBy('second_parrot'))]) === $this->planks(),
            25,
        );
        self::assertTrue(
            $isAnswered,
            "from $still to {$this->planks()}, heard "
                .json_encode($viewer->heard)
                .', outgoing '
                .json_encode(
                    $this->air
                        ->database()
                        ->query('SELECT state, text, queued_at, handed_at FROM outgoing ORDER BY id DESC LIMIT 8')
                        ->fetchAll(\PDO::FETCH_NUM),
                )
                .$this->toldByTalker(),
        );
        $this->agree($viewer, 'second_parrot', $before, $neverSaid);
    }

    /**
     * @return iterable<string, array{string, bool, list<int>}> the point, whether the database is killed and not the
     *     talker, how often it may be said
     */
    public static function pointsOfWhatWaited(): iterable
    {
        yield 'the talker, handed on' => ['waited-after-handed', false, [0]];
        yield 'the talker, written' => ['waited-after-write', false, [1]];
        // Who finds the database gone in the same beat ends before its socket has taken what was written.
        yield 'the database, handed on' => ['waited-after-handed', true, [0, 1]];
        yield 'the database, written' => ['waited-after-write', true, [1]];
    }

    /** @param  list<int>  $times */
    #[DataProvider('pointsOfWhatWaited')]
    public function test_a_kill_on_the_way_of_what_had_to_wait(string $point, bool $ofDatabase, array $times): void
    {
        $this->startUntilThere(
            $this->stopTheFirst(),
            fn () => $this->startTalker([$point, '1', (string) ($ofDatabase ? $this->databaseNow() : 0)]),
        );
        [$viewer, $epoch] = [$this->viewer('watch'.crc32("$point $ofDatabase")), $this->epoch()];
        $queue = fn (int $number) => $this->air
            ->database()
            ->exec(
                'INSERT INTO outgoing (channel_id, event_key, position, text, voice, place, answer_to, to_login, '
                    ."state, queued_at) VALUES (1, '$point $ofDatabase', $number, 'waited $number', 'parrot', 'chat', "
                    ."'', '', 'queued', UTC_TIMESTAMP(3))",
            );
        $queue(1);
        $this->restartUntilThere($epoch);
        $queue(2);
        self::assertTrue(
            $viewer->await(
                static fn (ChatClient $self): bool => in_array('waited 2', $self->saidBy('second_parrot'), true),
                25,
            ),
            $this->toldByTalker(),
        );
        self::assertContains(count(array_keys($viewer->saidBy('second_parrot'), 'waited 1', true)), $times);
        self::assertSame(
            '2',
            $this->value("SELECT COUNT(*) FROM outgoing WHERE state = 'handed' AND event_key = '$point $ofDatabase'"),
        );
    }

    /** @return iterable<string, array{string}> */
    public static function pointsOfEffects(): iterable
    {
        yield 'before it is carried out' => ['after-effect'];
        yield 'while it is carried out' => ['in-edition'];
    }

    #[DataProvider('pointsOfEffects')]
    public function test_a_command_that_is_added_in_the_chat_is_there_once_though_its_talker_dies(string $point): void
    {
        self::publishWith(CommandFormat::read(Document::of([
            'trigger' => '!put',
            'responses' => [['steps' => [['do' => 'add command'], ['say' => 'Put up: [outcome.name]']]]],
        ])));
        $name = '!kept'.crc32($point);
        $this->startUntilThere($this->stopTheFirst(), fn () => $this->startTalker([$point, '1', '0']));
        [$viewer, $epoch] = [$this->viewer('watch'.crc32($point)), $this->epoch()];
        $editions = (int) $this->value('SELECT COUNT(*) FROM editions WHERE channel_id = 1');
        $viewer->say("!put $name It holds.");
        $this->restartUntilThere($epoch);
        $told = static fn (ChatClient $self): bool => in_array("Put up: $name", $self->saidBy('second_parrot'), true);
        self::assertTrue($viewer->await($told, 25), $this->toldByTalker());
        $viewer->say($name);
        self::assertTrue(
            $viewer->await(
                static fn (ChatClient $self): bool => in_array('It holds.', $self->saidBy('second_parrot'), true),
                25,
            ),
            $this->toldByTalker(),
        );
        self::assertCount(1, array_keys($viewer->saidBy('second_parrot'), "Put up: $name", true));
        self::assertSame($editions + 1, (int) $this->value('SELECT COUNT(*) FROM editions WHERE channel_id = 1'));
        self::assertSame('1', $this->value("SELECT COUNT(*) FROM commands WHERE `trigger` = '$name'"));
        self::assertSame(
            '1',
            $this->value("SELECT COUNT(*) FROM effects WHERE state = 'done' AND after LIKE '%$name%'"),
        );
    }

    /** It is due again and again, and its talker dies a moment before, in the middle or behind. */
    public function test_a_timer_that_is_due_is_said_once_and_not_too_early_whoever_is_killed(): void
    {
        mt_srand(20261130);
        self::publishTimer();
        $viewer = $this->viewer('watch'.mt_rand());
        $before = $this->planks();
        $state = static fn (string $part): string => "SELECT JSON_VALUE(state, '$.$part') FROM timer_states WHERE "
            ."channel_id = 1 AND kind = 'timer' AND timer = 'paint'";
        $await = function (int $times) use ($state): void {
            for ($tries = 0; $tries < 400 && (int) $this->value($state('times')) < $times; $tries++) {
                usleep(50_000);
            }
        };
        for ($tries = 0; $tries < 400 && $this->value($state('from')) === ''; $tries++) {
            usleep(50_000);
        }
        for ($round = 1; $round <= self::DUE; $round++) {
            $long = (int) (microtime(true) * 1000) - 11 * 3_600_000;
            $this->air->database()->exec("DELETE FROM cooldowns WHERE channel_id = 1 AND command LIKE '%unasked'");
            $this->air->database()->exec(
                "UPDATE timer_states SET state = JSON_SET(state, '$.from', $long) WHERE channel_id = 1 AND "
                    ."kind = 'timer' AND timer = 'paint'",
            );
            usleep(mt_rand(0, 6_000_000));
            $epoch = $this->epoch();
            posix_kill($this->air->instance()['servers']['air']['pid'], SIGKILL);
            $this->awaitTalker($epoch);
            $await($round);
            self::assertSame($round, (int) $this->value($state('times')), "round $round");
        }
        $this->awaitNothingQueued();
        self::assertSame(self::DUE, $this->planks() - $before, 'each time counted once');
        self::assertSame(
            self::DUE,
            (int) $this->value("SELECT COUNT(*) FROM outgoing WHERE text LIKE 'Wet paint %'"),
        );
        $said = array_filter(
            $viewer->saidBy('silver_parrot'),
            static fn (string $one): bool => str_starts_with($one, 'Wet paint '),
        );
        self::assertSame($said, array_unique($said), 'nothing is said twice');
    }

    private static function publishTimer(): void
    {
        $database = self::database();
        $document = $database
            ->query('SELECT document FROM editions WHERE channel_id = 1 ORDER BY number DESC LIMIT 1')
            ->fetchColumn();
        /** @var array<string, mixed> $read */
        $read = json_decode((string) $document, true);
        $read['timers'] = [[
            'name' => 'paint',
            'responses' => [['text' => 'Wet paint [add 1 to counter.planks]']],
            'minutes' => 600,
            'lines' => 0,
            'offline_too' => true,
        ]];
        $number = (int) $database->query('SELECT MAX(number) FROM editions WHERE channel_id = 1')->fetchColumn() + 1;
        $database
            ->prepare(
                'INSERT INTO editions (channel_id, number, note, document, created_at) VALUES (1, ?, "", ?, '
                    .'UTC_TIMESTAMP())',
            )
            ->execute([$number, json_encode($read, JSON_THROW_ON_ERROR)]);
        $database->prepare('UPDATE channels SET edition_on_air = ? WHERE id = 1')->execute([$number]);
    }

    /** @param  callable(int): void  $kill */
    private function survive(callable $kill): void
    {
        [$before, $watch] = [$this->planks(), $this->viewer('watch'.mt_rand())];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            // The harbour lets one account say twenty lines in half a minute, so each round has its own.
            $caller = $this->viewer('caller'.mt_rand());
            $killed = mt_rand(2, 8);
            for ($i = 0; $i < 10; $i++) {
                $caller->say('!count');
                usleep(mt_rand(4_000, 30_000));
                if ($i === $killed) {
                    $kill($round);
                }
            }
        }
        $this->awaitNothingQueued();
        $this->agree($watch, 'silver_parrot', $before, null);
        self::assertGreaterThan(self::ROUNDS * 2, count($watch->saidBy('silver_parrot')));
    }

    /** What was said, what is remembered, and how it came about, tell the same story. */
    private function agree(ChatClient $viewer, string $nick, int $before, ?int $neverSaid): void
    {
        $said = array_map(intval(...), $viewer->saidBy($nick));
        $after = $this->planks();
        self::assertSame($said, array_values(array_unique($said)), 'nothing is said twice');
        self::assertSame([], array_diff($said, range($before + 1, max($before + 1, $after))), 'what was said was kept');
        self::assertSame(
            $after - $before,
            (int) $this->value(
                "SELECT COUNT(DISTINCT event_key) FROM memory_history WHERE kind = 'counter' AND name = 'planks' AND "
                    ."CAST(after AS INT) > $before",
            ),
            'each change has its history, and its own line',
        );
        self::assertSame(
            '0',
            $this->value("SELECT COUNT(*) FROM outgoing WHERE state = 'queued'"),
            'what was queued was said or declared stale',
        );
        $handed = (int) $this->value(
            "SELECT COUNT(*) FROM outgoing WHERE state = 'handed' AND CAST(text AS INT) > $before",
        );
        self::assertGreaterThanOrEqual(count($said), $handed, 'nothing is said that was not handed on');
        if ($neverSaid !== null) {
            self::assertCount($after - $before - $neverSaid, $said);
        }
    }

    /** The process of the database; who has just been started again is written down a moment later. */
    private function databaseNow(): int
    {
        for ($tries = 0; $tries < 200; $tries++) {
            $pid = $this->air->instance()['servers']['database']['pid'];
            if (posix_kill($pid, 0)) {
                return $pid;
            }
            usleep(50_000);
        }
        self::fail('The database was not started again.');
    }

    /** As the supervisor does it: as often as it dies, until one is in the chat again. */
    private function restartUntilThere(int $after): void
    {
        $deaths = 0;
        for ($tries = 0; $tries < 600; $tries++) {
            if (! $this->isTalkerRunning()) {
                $deaths++;
                usleep(300_000);
                $this->startTalker();
            }
            if ($deaths > 0 && $this->isThere($after)) {
                return;
            }
            usleep(50_000);
        }
        self::fail($deaths === 0 ? 'nobody died' : 'nobody came back: '.$this->toldByTalker());
    }
}
