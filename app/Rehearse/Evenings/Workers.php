<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use Illuminate\Support\Facades\Cache;

/** The workers that hear evenings on this machine: they are told that there is something, and need not look for it. */
final class Workers
{
    private const KEY = 'rehearsal workers';

    /** In seconds: a worker begins anew before that. */
    private const KEPT = 7_200;

    /** What stands in the command line of a worker. */
    private const COMMAND = 'parrot:worker';

    /** A worker says that it is there. @return bool whether it is the only one */
    public static function enter(int $process): bool
    {
        $known = array_filter(self::known(), static fn (int $one): bool => $one !== $process && self::isWorker($one));
        Cache::put(self::KEY, [...array_values($known), $process], self::KEPT);

        return $known === [];
    }

    /** A signal that does nothing but end a pause. */
    public static function wake(): void
    {
        foreach (self::known() as $process) {
            if (self::isWorker($process)) {
                posix_kill($process, SIGCONT);
            }
        }
    }

    /** @return list<int> */
    private static function known(): array
    {
        $known = Cache::get(self::KEY);

        return is_array($known) ? array_values(array_filter($known, is_int(...))) : [];
    }

    /** Its number may be another process's by now. */
    private static function isWorker(int $process): bool
    {
        $command = "/proc/$process/cmdline";

        return is_readable($command) && str_contains((string) file_get_contents($command), self::COMMAND);
    }
}
