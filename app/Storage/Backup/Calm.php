<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Contracts\Encryption\StringEncrypter;

/** Rows as they may stand in a world that went on: nothing is said by itself, and nobody holds a lease. */
final class Calm
{
    /** @var array<string, string> what the person should know, in sentences */
    public array $notes = [];

    /** @param  int  $epoch  the highest of any lease here: whoever holds an older one is fenced off */
    public function __construct(private readonly StringEncrypter $encrypter, private readonly int $epoch)
    {
    }

    /**
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>
     */
    public function row(string $table, array $row): array
    {
        if ($table === 'outgoing' && ($row['state'] ?? null) === 'queued') {
            $row['state'] = 'stale';
        }
        if ($table === 'channels') {
            $row =
                [
                    'paused' => 1,
                    'lease_epoch' => max($this->epoch, (int) ($row['lease_epoch'] ?? 0)) + 1,
                    'lease_holder' => null,
                    'lease_until' => null,
                    'air_state' => 'away',
                    'air_seen_at' => null,
                    'air_troubles' => null,
                ] + $row;
            if (is_string($row['chat_secret'] ?? null) && ! $this->isReadable($row['chat_secret'])) {
                $row['chat_secret'] = null;
                $this->notes['secret'] =
                    'A secret for a chat server was encrypted with the key of another machine; give it anew.';
            }
        }

        return $row;
    }

    private function isReadable(string $secret): bool
    {
        try {
            $this->encrypter->decryptString($secret);

            return true;
        } catch (DecryptException) {
            return false;
        }
    }
}
