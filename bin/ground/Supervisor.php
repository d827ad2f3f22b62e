<?php

declare(strict_types=1);

namespace Ground;

/** Stays behind after `up`: starts the servers, starts again what dies, ends them in turn when it is told to. */
final class Supervisor
{
    /** In seconds. */
    private const ROTATE_EVERY = 60.0;

    /** A server that dies at once is not started more often than this, in seconds. */
    private const LONGEST_PAUSE = 30;

    /** @var array<string, Process> */
    private array $running = [];

    /** Whoever lived this long, in seconds, did not die at once: it is started again without a pause. */
    private const LONG_LIFE = 3.0;

    /** @var array<string, float> */
    private array $since = [];

    /** @var array<string, array{float, int}> when to start it again, and how long the pause was */
    private array $waiting = [];

    private bool $ending = false;

    /** @param  list<Server>  $servers in the order of starting */
    public function __construct(private readonly Paths $paths, private readonly array $servers)
    {
    }

    public function watch(): int
    {
        $lock = Lock::take(Instance::lockFile($this->paths));
        if ($lock === null) {
            throw Trouble::alreadyStarting('supervisor');
        }
        pcntl_async_signals(true);
        foreach ([SIGTERM, SIGINT] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->ending = true;
            });
        }
        pcntl_signal(SIGHUP, SIG_IGN);
        foreach ($this->servers as $server) {
            $this->start($server);
        }
        $logs = new Logs($this->paths);
        $rotated = 0.0;
        while (! $this->ending) {
            $this->collect();
            foreach ($this->servers as $server) {
                [$at] = $this->waiting[$server->name()] ?? [INF];
                if ($at <= microtime(true)) {
                    $this->start($server);
                }
            }
            if (microtime(true) - $rotated > self::ROTATE_EVERY) {
                $rotated = microtime(true);
                $logs->rotate();
            }
            usleep(100_000);
        }
        foreach (array_reverse($this->servers) as $server) {
            ($this->running[$server->name()] ?? null)?->end($server->patience());
        }
        Instance::forget($this->paths);
        $lock->release();

        return 0;
    }

    private function start(Server $server): void
    {
        $process = pcntl_fork();
        if ($process === 0) {
            posix_setsid();
            chdir($server->folder());
            pcntl_sigprocmask(SIG_SETMASK, []);
            $command = $server->command();
            pcntl_exec($command[0], array_slice($command, 1), $server->environment() + getenv());
            exit(127);
        }
        // Written down at once: after a hard kill of this supervisor the next start must find what it left.
        usleep(20_000);
        $this->running[$server->name()] = Process::at($process);
        $this->since[$server->name()] = microtime(true);
        [, $pause] = $this->waiting[$server->name()] ?? [0.0, 0];
        $this->waiting[$server->name()] = [INF, $pause];
        Instance::record($this->paths, getmypid() ?: 0, $this->running);
        $this->paths->note('supervisor.log', "started {$server->name()} as process $process");
    }

    private function collect(): void
    {
        while (($dead = pcntl_waitpid(-1, $status, WNOHANG)) > 0) {
            foreach ($this->running as $name => $process) {
                if ($process->pid === $dead) {
                    [, $pause] = $this->waiting[$name];
                    $pause =
                        microtime(true) - $this->since[$name] > self::LONG_LIFE
                            ? 1
                            : min(self::LONGEST_PAUSE, max(1, $pause * 2));
                    $this->waiting[$name] = [microtime(true) + ($pause === 1 ? 0 : $pause), $pause];
                    $process->end(1);
                    unset($this->running[$name]);
                    $this->paths->note(
                        'supervisor.log',
                        "$name ended; starting it again".($pause === 1 ? '' : " in $pause s"),
                    );
                }
            }
        }
    }
}
