<?php

declare(strict_types=1);

namespace Tests\Ground;

use Ground\Disk;
use PHPUnit\Framework\Assert;

/** An instance of its own in a folder of its own, driven through bin/parrot as a person would. */
final class Sandbox
{
    private function __construct(public readonly string $home)
    {
    }

    public static function make(?string $home = null): self
    {
        // Suites that run beside each other would wait for one disk, and deadlines are not about disks.
        $home ??= Disk::inMemory(6 * Disk::ROOM_FOR_DATA, sys_get_temp_dir()).'/parrot-home-'.bin2hex(random_bytes(4));
        @mkdir($home, 0o700, true);

        return new self($home);
    }

    public static function project(): string
    {
        return dirname(__DIR__, 2);
    }

    /**
     * @param  list<string>  $words
     * @return array{int, string} exit code, and all that was printed
     */
    public function parrot(array $words, string $folder = '/'): array
    {
        return $this->finish($this->begin($words, $folder));
    }

    /**
     * @param  list<string>  $words
     * @return array{resource, resource}
     */
    public function begin(array $words, string $folder = '/'): array
    {
        $process = proc_open(
            [PHP_BINARY, self::project().'/bin/parrot', ...$words],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['redirect', 1]],
            $pipes,
            $folder,
            $this->environment(),
        );
        Assert::assertIsResource($process);

        return [$process, $pipes[1]];
    }

    /**
     * @param  array{resource, resource}  $begun
     * @return array{int, string}
     */
    public function finish(array $begun): array
    {
        $printed = (string) stream_get_contents($begun[1]);

        return [proc_close($begun[0]), $printed];
    }

    public function setting(string $name): string
    {
        preg_match('/^'.preg_quote($name, '/').'=(.*)$/m', (string) file_get_contents($this->home.'/.env'), $found);

        return trim($found[1] ?? '', '"');
    }

    /**
     * @param  array<string, int|string>  $body
     * @return string the harbour's answer, empty where there was none
     */
    public function toHarbour(string $path, array $body): string
    {
        $key = $this->setting('HARBOUR_KEY');

        return (string) file_get_contents(
            "http://127.0.0.1:{$this->setting('HARBOUR_DETAILS_PORT')}$path",
            false,
            stream_context_create([
                'http' => [
                    'method' => 'POST',
                    'header' => "Authorization: Bearer $key\r\nContent-Type: application/json",
                    'content' => json_encode($body, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                    'ignore_errors' => true,
                    'timeout' => 10,
                ],
            ]),
        );
    }

    public function database(): \PDO
    {
        return new \PDO(
            "mysql:host=127.0.0.1;port={$this->setting('DB_PORT')};dbname=parrot",
            'parrot',
            $this->setting('DB_PASSWORD'),
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION, \PDO::ATTR_TIMEOUT => 2],
        );
    }

    /** @return array{supervisor: array{pid: int}, servers: array<string, array{pid: int}>} */
    public function instance(): array
    {
        /** @var array{supervisor: array{pid: int}, servers: array<string, array{pid: int}>} $read */
        $read = json_decode((string) file_get_contents($this->home.'/run/instance.json'), true);

        return $read;
    }

    public function answers(int $port): bool
    {
        return @file_get_contents(
            "http://127.0.0.1:$port/up",
            false,
            stream_context_create(['http' => ['timeout' => 3]]),
        ) !== false;
    }

    public function remove(): void
    {
        $this->parrot(['down']);
        exec('rm -rf -- '.escapeshellarg($this->home));
    }

    /** @return array<string, string> without what PHPUnit's settings put there */
    public function environment(): array
    {
        return ['PARROT_HOME' => $this->home]
            + array_diff_key(
                getenv(),
                array_flip([
                    'APP_ENV',
                    'APP_KEY',
                    'CACHE_STORE',
                    'SESSION_DRIVER',
                    'MAIL_MAILER',
                    'BCRYPT_ROUNDS',
                    'DB_HOST',
                    'DB_PORT',
                    'DB_DATABASE',
                    'DB_USERNAME',
                    'DB_PASSWORD',
                ]),
            );
    }
}
