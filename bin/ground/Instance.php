<?php

declare(strict_types=1);

namespace Ground;

/** What runs for this home now, as written down by its supervisor. */
final class Instance
{
    public static function lockFile(Paths $paths): string
    {
        return $paths->run().'/supervisor.lock';
    }

    public static function isUp(Paths $paths): bool
    {
        return Lock::isHeld(self::lockFile($paths));
    }

    /** @param  array<string, Process>  $servers */
    public static function record(Paths $paths, int $supervisor, array $servers): void
    {
        Disk::write(
            self::file($paths),
            json_encode(['supervisor' => Process::at($supervisor), 'servers' => $servers], JSON_THROW_ON_ERROR),
        );
    }

    public static function forget(Paths $paths): void
    {
        @unlink(self::file($paths));
    }

    public static function supervisor(Paths $paths): ?Process
    {
        return self::read($paths)['supervisor'] ?? null;
    }

    /** @return array<string, Process> */
    public static function servers(Paths $paths): array
    {
        $all = self::read($paths);
        unset($all['supervisor']);

        return $all;
    }

    /** Ends what a supervisor that was killed hard has left running. */
    public static function clear(Paths $paths): void
    {
        foreach (self::servers($paths) as $process) {
            $process->end(30);
        }
        self::forget($paths);
    }

    /** @return array<string, Process> */
    private static function read(Paths $paths): array
    {
        $text = @file_get_contents(self::file($paths));
        /**
         * @var array{supervisor?: array{pid: int, started: string}, servers?: array<string, array{pid: int,
         *     started: string}>}|null $read
         */
        $read = $text === false ? null : json_decode($text, true);
        if (! is_array($read)) {
            return [];
        }
        $all = $read['servers'] ?? [];
        if (isset($read['supervisor'])) {
            $all['supervisor'] = $read['supervisor'];
        }

        return array_map(static fn (array $one): Process => new Process($one['pid'], $one['started']), $all);
    }

    private static function file(Paths $paths): string
    {
        return $paths->run().'/instance.json';
    }
}
