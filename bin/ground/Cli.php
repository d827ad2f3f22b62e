<?php

declare(strict_types=1);

namespace Ground;

/** Finds the verb that was asked for, runs it, and turns every trouble into one plain sentence and an exit code. */
final class Cli
{
    /** @var array<string, class-string<Verb>> in the order of the help page */
    public const VERBS = [
        'up' => Verbs\Up::class,
        'down' => Verbs\Down::class,
        'test' => Verbs\Test::class,
        'shots' => Verbs\Shots::class,
        'bench' => Verbs\Bench::class,
        'backup' => Verbs\Backup::class,
        'restore' => Verbs\Restore::class,
        'pins' => Verbs\Pins::class,
        'help' => Verbs\Help::class,
    ];

    /** @param  list<string>  $words what was typed after the program's name */
    public static function run(string $project, array $words): int
    {
        $terminal = new Terminal;
        $verb = array_shift($words) ?? 'help';
        try {
            $paths = Paths::of($project);
            if (in_array($verb, ['--help', '-h'], true)) {
                $verb = 'help';
            }
            // Not on the help page: `up` starts it and leaves it behind.
            $class =
                $verb === 'supervise'
                    ? Verbs\Supervise::class
                    : self::VERBS[$verb] ?? throw Trouble::unknownVerb($verb, array_keys(self::VERBS));

            return (new $class($paths, $terminal))->run(Arguments::parse($words, $class::OPTIONS));
        } catch (Trouble $trouble) {
            $terminal->trouble($trouble);

            return $trouble->exitCode;
        } catch (\Throwable $unexpected) {
            $log = isset($paths) ? $paths->note('trouble.log', (string) $unexpected) : 'nowhere';
            $terminal->trouble(Trouble::unexpected($unexpected->getMessage(), $log));

            return Trouble::GENERAL;
        }
    }
}
