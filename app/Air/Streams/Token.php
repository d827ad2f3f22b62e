<?php

declare(strict_types=1);

namespace App\Air\Streams;

/**
 * The key to a channel's stream of events, for one person's session and a short while. It opens a stream; once open,
 * the stream stays until its reader leaves, is no member any more, or the session ends.
 */
final readonly class Token
{
    public const SECONDS = 60;

    private function __construct(public int $user, public int $channel, public string $grant)
    {
    }

    /**
     * @param  string  $grant  of the session, as Grant gives it
     * @param  string  $secret  the application's key
     */
    public static function issue(int $user, int $channel, string $grant, int $now, string $secret): string
    {
        $told = implode('.', [$user, $channel, $grant, $now + self::SECONDS]);

        return "$told.".self::sign($told, $secret);
    }

    public static function read(string $text, int $now, string $secret): ?self
    {
        if (preg_match('/^(\d{1,18})\.(\d{1,18})\.([0-9a-f]{40})\.(\d{1,18})\.([0-9a-f]{64})$/D', $text, $part) !== 1) {
            return null;
        }
        $isOurs = hash_equals(self::sign("{$part[1]}.{$part[2]}.{$part[3]}.{$part[4]}", $secret), $part[5]);

        return $isOurs && (int) $part[4] >= $now && (int) $part[4] <= $now + self::SECONDS
            ? new self((int) $part[1], (int) $part[2], $part[3])
            : null;
    }

    /** Whose it is, and for what, in one word. */
    public function stands(): string
    {
        return "{$this->user} {$this->channel} {$this->grant}";
    }

    private static function sign(string $told, string $secret): string
    {
        // A key of its own, so that nothing else that the application signs can be taken for one of these.
        return hash_hmac('sha256', $told, hash_hmac('sha256', 'stream of events', $secret));
    }
}
