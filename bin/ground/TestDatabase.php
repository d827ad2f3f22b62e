<?php

declare(strict_types=1);

namespace Ground;

use Ground\Servers\Database;

/** A throw-away MariaDB for the tests, in memory where the machine has a tmpfs with room. */
final readonly class TestDatabase
{
    private const NAME = 'parrot_test';

    /** For what runs beside the suites and shares their tables with nobody. */
    public const BESIDE = 'parrot_beside';

    private function __construct(
        private string $folder,
        private Process $process,
        private int $port,
        private string $password,
    ) {
    }

    public static function start(Paths $paths): self
    {
        $folder = Disk::inMemory(2 * Disk::ROOM_FOR_DATA, $paths->home).'/parrot-test-'.getmypid();
        mkdir($folder, 0o700, true);
        $until = microtime(true) + 60;
        for ($port = Port::firstFreeFrom(23307); ; $port = Port::firstFreeFrom($port + 1)) {
            // Nothing here need survive, so nothing waits for a disk.
            $database = new Database("$folder/data", "$folder/my.sock", "$folder/log", $port, [
                '--innodb-flush-log-at-trx-commit=0',
                '--innodb-flush-method=nosync',
            ]);
            $database->prepare();
            $process = proc_open(
                ['setsid', ...$database->command()],
                [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
                $pipes,
            );
            $pid = $process === false ? 0 : proc_get_status($process)['pid'];
            while (
                ! ($isReady = $database->isReady())
                && $process !== false
                && proc_get_status($process)['running']
                && microtime(true) < $until
            ) {
                usleep(50_000);
            }
            if ($isReady) {
                break;
            }
            // A server that ends at once has lost its port to another suite, which looked at the same moment.
            if (microtime(true) > $until) {
                throw Trouble::notReady('The database of the tests', "$folder/log");
            }
        }
        $password = bin2hex(random_bytes(8));
        $database->grant(self::NAME, 'parrot', $password);
        $database->grant(self::BESIDE, 'parrot', $password);

        return new self($folder, Process::at($pid), $port, $password);
    }

    /** @return array<string, string> */
    public function environment(): array
    {
        return [
            'DB_HOST' => '127.0.0.1',
            'DB_PORT' => (string) $this->port,
            'DB_DATABASE' => self::NAME,
            'DB_BESIDE' => self::BESIDE,
            'DB_USERNAME' => 'parrot',
            'DB_PASSWORD' => $this->password,
        ];
    }

    public function end(): void
    {
        $this->process->end(10);
        Shell::run(['rm', '-rf', '--', $this->folder]);
    }
}
