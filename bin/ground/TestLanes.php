<?php

declare(strict_types=1);

namespace Ground;

/**
 * Parts of a test run side by side: in each lane one after another, each lane with ports of its own. What a part prints
 * is told when it ends, so that parts are not mixed up.
 */
final class TestLanes
{
    /** Ports of one lane are so far from those of the next; the bases in use leave that much room. */
    private const PORTS = 350;

    /**
     * Suites that may run side by side on one machine, and how far apart their ports are: behind those of all lanes.
     */
    private const SUITES = 3;

    private const PORTS_OF_A_SUITE = 1_430;

    private ?Lock $suite = null;

    /**
     * @var array<int, array{resource, string, string, float}> by lane: process, part, file of what it prints, since
     *     when
     */
    private array $running = [];

    /**
     * @param  \Closure(string): list<string>  $command  of a part
     * @param  array<string, string>  $environment
     * @param  \Closure(string, int, float): void  $ended  part, exit code, seconds
     */
    public function __construct(
        private readonly string $project,
        private readonly Terminal $terminal,
        private readonly \Closure $command,
        private readonly array $environment,
        private readonly \Closure $ended,
    ) {
    }

    /** @param  list<list<string>>  $lanes */
    public function run(array $lanes): void
    {
        $base = $this->base();
        do {
            foreach ($lanes as $number => $lane) {
                $this->reap($number);
                if (! isset($this->running[$number]) && $lane !== []) {
                    $this->start($number, array_shift($lane), $base + $number * self::PORTS);
                    $lanes[$number] = $lane;
                }
            }
            usleep(50_000);
        } while ($this->running !== []);
    }

    /**
     * How far this suite's ports are from the usual ones: two that look at the same moment would find the same ones
     * free.
     */
    private function base(): int
    {
        for ($number = 0; $number < self::SUITES && $this->suite === null; $number++) {
            $this->suite = Lock::take(sys_get_temp_dir()."/parrot-suite-$number.lock");
        }

        return max(0, $number - 1) * self::PORTS_OF_A_SUITE;
    }

    private function start(int $lane, string $part, int $ports): void
    {
        $this->terminal->say("\n== $part begins");
        $printed = (string) tempnam(sys_get_temp_dir(), 'parrot-part-');
        $command = ($this->command)($part);
        $streams = [['file', '/dev/null', 'r'], ['file', $printed, 'w'], ['redirect', 1]];
        $process = proc_open(
            [(string) Shell::find($command[0]), ...array_slice($command, 1)],
            // @phpstan-ignore argument.type (the stub does not know that a redirection names a number)
            $streams,
            $pipes,
            $this->project,
            $this->environment + ['PARROT_PORTS' => (string) $ports] + getenv(),
        );
        if ($process === false) {
            throw Trouble::unexpected("$part could not be started", $printed);
        }
        $this->running[$lane] = [$process, $part, $printed, microtime(true)];
    }

    private function reap(int $lane): void
    {
        if (! isset($this->running[$lane])) {
            return;
        }
        [$process, $part, $printed, $since] = $this->running[$lane];
        $status = proc_get_status($process);
        if ($status['running']) {
            return;
        }
        unset($this->running[$lane]);
        proc_close($process);
        $this->terminal->say("\n== $part\n".rtrim((string) file_get_contents($printed)));
        unlink($printed);
        ($this->ended)($part, $status['exitcode'], microtime(true) - $since);
    }
}
