<?php

declare(strict_types=1);

namespace Ground;

/**
 * A process of ours, told apart from a later stranger with the same number by the moment it started (field 22 of
 * /proc/PID/stat, proc(5)). It leads a session of its own, so its children can be ended with it.
 */
final readonly class Process
{
    public function __construct(public int $pid, public string $started)
    {
    }

    public static function at(int $pid): self
    {
        return new self($pid, self::startOf($pid) ?? '');
    }

    public function isAlive(): bool
    {
        return $this->started !== '' && self::startOf($this->pid) === $this->started;
    }

    /** Ends it and what it started; politely first. The leader may be gone while its children still hold a port. */
    public function end(float $patience): void
    {
        if (! $this->isAlive() && ! $this->leftChildren()) {
            return;
        }
        posix_kill($this->isAlive() ? $this->pid : -$this->pid, SIGTERM);
        $until = microtime(true) + $patience;
        while (microtime(true) < $until && $this->isAlive()) {
            usleep(20_000);
        }
        if ($this->isAlive() || $this->leftChildren()) {
            posix_kill(-$this->pid, SIGKILL);
            usleep(50_000);
        }
    }

    /** True while processes of the session are there and the number has not gone to a stranger. */
    private function leftChildren(): bool
    {
        $leader = self::startOf($this->pid);
        if ($this->started === '' || ($leader !== null && $leader !== $this->started)) {
            return false;
        }
        foreach (glob('/proc/[0-9]*/stat') ?: [] as $file) {
            $fields = self::fields($file);
            // A session's number stays taken while any member lives, so an equal one started later is ours.
            if (
                $fields !== null
                && (int) $fields[3] === $this->pid
                && $fields[0] !== 'Z'
                && (int) $fields[19] >= (int) $this->started
            ) {
                return true;
            }
        }

        return false;
    }

    private static function startOf(int $pid): ?string
    {
        $fields = self::fields("/proc/$pid/stat");

        return $fields === null || $fields[0] === 'Z' ? null : $fields[19];
    }

    /** @return list<string>|null the fields after the name: 0 state, 3 session, 19 start */
    private static function fields(string $file): ?array
    {
        $stat = @file_get_contents($file);
        $end = $stat === false ? false : strrpos($stat, ')');

        return $end === false ? null : explode(' ', substr((string) $stat, $end + 2));
    }
}
