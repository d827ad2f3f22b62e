<?php

declare(strict_types=1);

namespace Ground\Servers;

use Ground\Disk;
use Ground\Paths;
use Ground\Server;
use Ground\Settings;
use Ground\Shell;
use Ground\Trouble;

/** A MariaDB server of the project's own: its data, socket and port, never the system's. */
final readonly class Database implements Server
{
    /** @param  list<string>  $more options for the server, as the tests' throw-away one has */
    public function __construct(
        private string $data,
        private string $socket,
        private string $log,
        private int $port,
        private array $more = [],
    ) {
    }

    public static function of(Paths $paths, Settings $settings): self
    {
        return new self($paths->data(), $paths->socket(), $paths->log('database.log'), $settings->port('DB_PORT'));
    }

    public function name(): string
    {
        return 'database';
    }

    /** @return non-empty-list<string> */
    public function command(): array
    {
        return [
            Shell::find('mariadbd') ?? 'mariadbd',
            '--no-defaults',
            ...$this->owner(),
            "--datadir={$this->data}",
            '--bind-address=127.0.0.1',
            "--port={$this->port}",
            "--socket={$this->socket}",
            "--pid-file={$this->data}/server.pid",
            "--log-error={$this->log}",
            // Of its own: a server that starts takes away what others have left in a shared one, though they still run.
            "--tmpdir={$this->temporary()}",
            '--skip-name-resolve', '--character-set-server=utf8mb4', '--collation-server=utf8mb4_nopad_bin',
            // A small pool: one streamer's rows, not a data centre's.
            '--innodb-buffer-pool-size=64M', '--performance-schema=OFF', ...$this->more,
        ];
    }

    public function environment(): array
    {
        return [];
    }

    public function folder(): string
    {
        return '/';
    }

    public function patience(): float
    {
        return 30;
    }

    public function isReady(): bool
    {
        return file_exists($this->socket)
            && Shell::run([
                'mariadb-admin',
                '--no-defaults',
                '--connect-timeout=2',
                "--socket={$this->socket}",
                '--silent',
                'ping',
            ])[0] === 0;
    }

    /** Makes the data directory where there is none; a half-made one is made again. */
    public function prepare(): void
    {
        if (! is_dir($this->temporary()) && ! @mkdir($this->temporary(), 0o700, true)) {
            throw Trouble::cannotWrite(dirname($this->data));
        }
        if (is_file($this->data.'/.complete')) {
            return;
        }
        if (Disk::isFull(dirname($this->data), Disk::ROOM_FOR_DATA)) {
            throw Trouble::diskFull(dirname($this->data));
        }
        if (is_dir($this->data)) {
            Shell::run(['rm', '-rf', '--', $this->data]);
        }
        if (! @mkdir($this->data, 0o700, true)) {
            throw Trouble::cannotWrite(dirname($this->data));
        }
        [$code] = Shell::run(
            [
                'mariadb-install-db',
                '--no-defaults',
                ...$this->owner(),
                "--datadir={$this->data}",
                "--tmpdir={$this->temporary()}",
                '--auth-root-authentication-method=socket',
                '--auth-root-socket-user='.self::user(),
                '--skip-test-db',
            ],
            log: $this->log,
        );
        if ($code !== 0) {
            throw Disk::isFull(dirname($this->data))
                ? Trouble::diskFull(dirname($this->data))
                : Trouble::notReady('The data directory of the database', $this->log);
        }
        touch($this->data.'/.complete');
    }

    private function temporary(): string
    {
        return dirname($this->data).'/database-tmp';
    }

    /**
     * The database and its user; the password is set anew each time, so the settings file is the one place that counts.
     */
    public function grant(string $database, string $account, string $password): void
    {
        $statements = "CREATE DATABASE IF NOT EXISTS `$database` CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;";
        foreach (['127.0.0.1', 'localhost'] as $host) {
            $statements
                .= "CREATE USER IF NOT EXISTS '$account'@'$host'; ALTER USER '$account'@'$host' IDENTIFIED BY '"
                .addslashes($password)
                ."';"
                ."GRANT ALL ON `$database`.* TO '$account'@'$host';";
        }
        // By standard input: what stands in a command line, every user of the machine can read.
        [$code, $printed] = Shell::run(
            ['mariadb', '--no-defaults', "--socket={$this->socket}", '--user='.self::user()],
            input: $statements,
        );
        if ($code !== 0) {
            file_put_contents($this->log, $printed, FILE_APPEND);
            throw Trouble::notReady('The database', $this->log);
        }
    }

    /** @return list<string> */
    private function owner(): array
    {
        return posix_geteuid() === 0 ? ['--user=root'] : [];
    }

    private static function user(): string
    {
        return posix_getpwuid(posix_geteuid())['name'] ?? 'root';
    }
}
