<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\Attributes\After;
use Tests\Ground\Sandbox;

/** A second talker, which a test starts and kills as it likes while the first one is stopped. */
trait TalkerOfItsOwn
{
    /** @var resource|null */
    private $talker = null;

    private int $stopped = 0;

    /** @return int the epoch of the first one's lease */
    private function stopTheFirst(): int
    {
        $this->stopped = $this->air->instance()['servers']['air']['pid'];
        $epoch = $this->epoch();
        posix_kill($this->stopped, SIGSTOP);

        return $epoch;
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $environment
     */
    private function startTalker(array $arguments = [], array $environment = []): void
    {
        $process = proc_open(
            [PHP_BINARY, __DIR__.'/talker.php', ...$arguments],
            [['file', '/dev/null', 'r'], ['file', $this->talkerLog(), 'a'], ['redirect', 1]],
            $pipes,
            Sandbox::project(),
            $environment + ['AIR_NICK' => 'second_parrot'] + $this->air->environment(),
        );
        self::assertIsResource($process);
        $this->talker = $process;
    }

    private function talkerProcess(): int
    {
        return $this->talker === null ? 0 : proc_get_status($this->talker)['pid'];
    }

    private function isTalkerRunning(): bool
    {
        return $this->talker !== null && proc_get_status($this->talker)['running'];
    }

    /** A busy machine may have let the database go for a moment: then the talker ends, and is started again. */
    private function startUntilThere(int $after, callable $start): void
    {
        for ($tries = 0; $tries < 800; $tries++) {
            if (! $this->isTalkerRunning()) {
                $start();
            }
            usleep(50_000);
            if ($this->isThere($after)) {
                return;
            }
        }
        self::fail('The talker is not there: '.$this->toldByTalker());
    }

    private function kill(): void
    {
        if ($this->talker !== null) {
            proc_terminate($this->talker, SIGKILL);
            proc_close($this->talker);
            $this->talker = null;
        }
    }

    private function toldByTalker(): string
    {
        return (string) file_get_contents($this->talkerLog());
    }

    private function talkerLog(): string
    {
        return $this->air->home.'/talker.log';
    }

    #[After]
    protected function letTheFirstGoOn(): void
    {
        $this->kill();
        if ($this->stopped !== 0) {
            posix_kill($this->stopped, SIGCONT);
        }
    }
}
