<?php

declare(strict_types=1);

namespace Ground;

/** Other programs, started without a shell between, so no path or value is ever read as a command. */
final class Shell
{
    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment  added to this process's own
     * @param  (callable(string): void)|null  $heard  each line while it runs
     * @return array{int, string} exit code and what it printed (both streams)
     */
    public static function run(
        array $command,
        ?string $folder = null,
        array $environment = [],
        ?string $log = null,
        ?callable $heard = null,
        ?string $input = null,
    ): array {
        $program = self::find($command[0]);
        if ($program === null) {
            return [127, "{$command[0]} is not installed"];
        }
        $command[0] = $program;
        $streams = [$input === null ? ['file', '/dev/null', 'r'] : ['pipe', 'r'], ['pipe', 'w'], ['redirect', 1]];
        // @phpstan-ignore argument.type (the stub does not know that a redirection names a number)
        $process = proc_open($command, $streams, $pipes, $folder, $environment + getenv());
        if ($process === false) {
            return [126, "{$program} could not be started"];
        }
        if ($input !== null) {
            fwrite($pipes[0], $input);
            fclose($pipes[0]);
        }
        $output = '';
        while (($line = fgets($pipes[1])) !== false) {
            $output .= $line;
            if ($log !== null) {
                @file_put_contents($log, $line, FILE_APPEND);
            }
            if ($heard !== null) {
                $heard(rtrim($line, "\r\n"));
            }
        }
        fclose($pipes[1]);

        return [proc_close($process), $output];
    }

    /** A program in PATH, or where Debian keeps servers, which an ordinary user's PATH leaves out. */
    public static function find(string $program): ?string
    {
        if (str_contains($program, '/')) {
            return is_executable($program) ? $program : null;
        }
        foreach ([...explode(':', (string) getenv('PATH')), '/usr/sbin', '/sbin'] as $folder) {
            if ($folder !== '' && is_executable("$folder/$program")) {
                return "$folder/$program";
            }
        }

        return null;
    }
}
