<?php

declare(strict_types=1);

namespace Ground;

/** Commands of the application, run on the instance that is up. */
final class Artisan
{
    /** @param  list<string>  $words */
    public static function run(Paths $paths, Terminal $terminal, array $words): int
    {
        if (! Instance::isUp($paths)) {
            throw Trouble::notUp();
        }
        [$code] = Shell::run(
            [PHP_BINARY, $paths->project.'/artisan', ...$words, '--no-ansi'],
            $paths->project,
            heard: $terminal->say(...),
        );

        return $code === 0 ? 0 : Trouble::GENERAL;
    }

    /** A file as whoever typed it sees it; the application runs in another folder. */
    public static function absolute(string $file): string
    {
        return str_starts_with($file, '/') ? $file : getcwd().'/'.$file;
    }
}
