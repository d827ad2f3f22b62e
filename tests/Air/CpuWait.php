<?php

declare(strict_types=1);

namespace Tests\Air;

/**
 * How long processes were ready to run while no processor was free for them: the machine's own slowness, which a
 * deadline of ours must not be blamed for. Linux tells it in the second number of schedstat, in nanoseconds
 * (Documentation/scheduler/sched-stats.rst of the kernel).
 */
final readonly class CpuWait
{
    /** @param  list<int>  $processes */
    public function __construct(private array $processes)
    {
    }

    /** @return float seconds so far, of all their threads together; 0.0 where the kernel does not tell */
    public function seconds(): float
    {
        $nanoseconds = 0;
        foreach ($this->processes as $process) {
            foreach (glob("/proc/$process/task/*/schedstat") ?: [] as $file) {
                $nanoseconds += (int) (explode(' ', (string) @file_get_contents($file))[1] ?? 0);
            }
        }

        return $nanoseconds / 1e9;
    }
}
