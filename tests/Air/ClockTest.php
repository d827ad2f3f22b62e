<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\Attributes\After;

/**
 * Clocks jump, backwards too, and talkers are killed meanwhile (libfaketime, Debian): nobody is silenced, nothing is
 * doubled.
 */
final class ClockTest extends AirTestCase
{
    use TalkerOfItsOwn;

    /** @var list<int> processes under the wrong clock */
    private array $started = [];

    /** Seconds by which the talker's clock is wrong: put back, put on, a little off, right again. */
    private const JUMPS = [0, -1_800, 0, 1_800, -3, 86_400, -86_400, 0];

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::publish('[add 1 to counter.planks]', 'since [add 1 to counter.planks]');
    }

    public function test_a_clock_that_jumps_silences_nobody_and_doubles_nothing(): void
    {
        mt_srand(20261127);
        $epoch = $this->stopTheFirst();
        $this->jump(0);
        $this->startUntilThere($epoch, $this->start(...));
        $watch = $this->viewer('clock_watch');
        $before = $this->planks();
        foreach (self::JUMPS as $round => $seconds) {
            $this->jump($seconds);
            $caller = $this->viewer("clock$round");
            $answered = count($watch->saidBy('second_parrot'));
            for ($i = 0; $i < 3; $i++) {
                $caller->say('!count');
                self::assertTrue(
                    $watch->await(
                        static fn (ChatClient $self): bool => count($self->saidBy('second_parrot')) > $answered + $i,
                        8,
                    ),
                    "the clock off by $seconds s: no answer ".($i + 1),
                );
            }
            if ($round % 3 === 2) {
                $epoch = $this->epoch();
                $caller->say('!count');
                usleep(mt_rand(2_000, 20_000));
                $this->kill();
                $this->startUntilThere($epoch, $this->start(...));
            }
        }
        $this->awaitNothingQueued();
        $said = array_map(intval(...), $watch->saidBy('second_parrot'));
        self::assertSame($said, array_values(array_unique($said)), 'nothing is said twice');
        self::assertSame([], array_diff($said, range($before + 1, $this->planks())), 'what was said was kept');
        self::assertSame(
            $this->planks() - $before,
            (int) $this->value(
                "SELECT COUNT(DISTINCT event_key) FROM memory_history WHERE kind = 'counter' AND name = 'planks' AND "
                    ."CAST(after AS INT) > $before",
            ),
            'each change has its own line',
        );
        self::assertSame(
            '0',
            $this->value("SELECT COALESCE(JSON_VALUE(air_troubles, '$.failed'), 0) FROM channels WHERE id = 1"),
        );
    }

    private function jump(int $seconds): void
    {
        file_put_contents($this->air->home.'/clock', sprintf("%+d\n", $seconds));
    }

    /** Whoever is killed leaves the library's shared memory behind. */
    #[After]
    protected function sweep(): void
    {
        foreach ($this->started as $pid) {
            array_map(unlink(...), glob("/dev/shm/{faketime_shm_$pid,sem.faketime_sem_$pid}", GLOB_BRACE) ?: []);
        }
    }

    private function start(): void
    {
        $library = (glob('/usr/lib/*/faketime/libfaketime.so.1') ?: [])[0] ?? null;
        self::assertNotNull($library, 'bin/parrot test installs it');
        // Clocks that only go on stay as they are: what they measure is no time of day.
        $this->startTalker(
            environment: [
                'LD_PRELOAD' => $library,
                'FAKETIME_TIMESTAMP_FILE' => $this->air->home.'/clock',
                'FAKETIME_NO_CACHE' => '1',
                'FAKETIME_DONT_FAKE_MONOTONIC' => '1',
            ],
        );
        $this->started[] = $this->talkerProcess();
    }
}
