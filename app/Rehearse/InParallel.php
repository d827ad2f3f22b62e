<?php

declare(strict_types=1);

namespace App\Rehearse;

use Closure;
use RuntimeException;

/** The same work for many inputs, divided among processes of its own: one for each core. */
final class InParallel
{
    private const MOST = 8;

    /**
     * Not for a process that holds a connection: each child would write to it too.
     *
     * @param  list<string>  $inputs
     * @param  Closure(string): string  $work
     * @param  Closure(int): void  $done  told how many are done
     * @return list<string> in the order of the inputs
     */
    public static function map(array $inputs, Closure $work, Closure $done, ?int $cores = null): array
    {
        $cores = min(count($inputs), $cores ?? self::cores());
        if ($cores < 2) {
            $results = [];
            foreach ($inputs as $place => $input) {
                $results[] = $work($input);
                $done($place + 1);
            }

            return $results;
        }
        $pipes = [];
        for ($core = 0; $core < $cores; $core++) {
            $ends = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, STREAM_IPPROTO_IP);
            if ($ends === false) {
                throw new RuntimeException('No pair of sockets could be made.');
            }
            $child = pcntl_fork();
            if ($child === 0) {
                fclose($ends[0]);
                for ($place = $core; $place < count($inputs); $place += $cores) {
                    fwrite($ends[1], json_encode([$place, $work($inputs[$place])], JSON_THROW_ON_ERROR)."\n");
                }
                fclose($ends[1]);
                // Without the parent's endings: they are its own.
                posix_kill(posix_getpid(), SIGKILL);
            }
            fclose($ends[1]);
            $pipes[$core] = $ends[0];
        }
        $results = self::collect($pipes, $done);
        while (pcntl_wait($status) > 0);
        if (count($results) !== count($inputs)) {
            throw new RuntimeException('One of the processes did not come to its end.');
        }
        ksort($results);

        return array_values($results);
    }

    /**
     * @param  array<int, resource>  $pipes
     * @param  Closure(int): void  $done
     * @return array<int, string>
     */
    private static function collect(array $pipes, Closure $done): array
    {
        $results = [];
        while ($pipes !== []) {
            $read = $pipes;
            $none = null;
            if (stream_select($read, $none, $none, 1) === false) {
                continue;
            }
            foreach ($read as $core => $pipe) {
                $line = fgets($pipe);
                if ($line === false) {
                    fclose($pipe);
                    unset($pipes[$core]);

                    continue;
                }
                $result = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
                if (is_array($result) && is_int($result[0] ?? null) && is_string($result[1] ?? null)) {
                    $results[$result[0]] = $result[1];
                    $done(count($results));
                }
            }
        }

        return $results;
    }

    private static function cores(): int
    {
        $cpus = is_readable('/proc/cpuinfo') ? file_get_contents('/proc/cpuinfo') : '';

        return max(1, min(self::MOST, preg_match_all('/^processor\s*:/m', (string) $cpus)));
    }
}
