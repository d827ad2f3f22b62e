<?php

declare(strict_types=1);

namespace App\Web;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Contracts\Encryption\Encrypter;
use Illuminate\Database\Connection;

/**
 * Secrets of look-ups, in headers and in addresses: encrypted where they are kept, sent to the host that they were
 * given for, and read by nobody else.
 */
final readonly class Secrets
{
    public function __construct(private Connection $connection, private Encrypter $encrypter)
    {
    }

    /** What the value of a parameter is kept under: no header has such a name. */
    public static function ofParameter(string $name): string
    {
        return "?$name";
    }

    /** @param  string  $lookup  its id */
    public function keep(int $channel, string $lookup, string $header, string $value, string $host): void
    {
        $all = [strtolower($header) => ['value' => $value, 'host' => $host]] + $this->all($channel, $lookup);
        $this->connection
            ->table('lookups')
            ->where('channel_id', $channel)
            ->where('stable_id', $lookup)
            ->update(['secrets' => $this->encrypter->encrypt($all)]);
    }

    /**
     * @param  list<string>  $names  of headers, or what parameters are kept under
     * @return array<string, string> those that were given for this host, by name
     */
    public function of(int $channel, string $lookup, array $names, string $host): array
    {
        $all = $names === [] ? [] : $this->all($channel, $lookup);
        $secrets = [];
        foreach ($names as $name) {
            $secret = $all[strtolower($name)] ?? null;
            if ($secret !== null && $secret['host'] === $host) {
                $secrets[$name] = $secret['value'];
            }
        }

        return $secrets;
    }

    /** @return array<string, array{value: string, host: string}> by name in lower case */
    private function all(int $channel, string $lookup): array
    {
        $kept = $this->connection
            ->table('lookups')
            ->where('channel_id', $channel)
            ->where('stable_id', $lookup)
            ->value('secrets');
        try {
            $read = is_string($kept) && $kept !== '' ? $this->encrypter->decrypt($kept) : [];
        } catch (DecryptException) {
            // Of another key, as behind a backup from elsewhere: they have to be given anew.
            $read = [];
        }
        $all = [];
        foreach (is_array($read) ? $read : [] as $name => $one) {
            if (is_array($one) && is_string($one['value'] ?? null) && is_string($one['host'] ?? null)) {
                $all[(string) $name] = ['value' => $one['value'], 'host' => $one['host']];
            }
        }

        return $all;
    }
}
