<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\RehearsalRow;
use App\Models\User;
use Generator;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/**
 * Chat logs that were brought, in a folder for each channel: one that waits for each person, and those of rehearsals as
 * long as these are kept.
 */
final class LogFiles
{
    /** Bytes of one. */
    public const LARGEST = 200_000_000;

    /** Bytes of all that are kept for the rehearsals of a channel. */
    public const TOGETHER = 1_000_000_000;

    /** Bytes of one part that a page sends. */
    public const PART = 4_000_000;

    /** Bytes of a line; what is longer is read as far as this. */
    private const LINE = 20_000;

    /** One that waits and is not heard is gone after this, in seconds. */
    private const WAITS = 86_400;

    public static function waiting(Channel $channel, User $user): string
    {
        return self::folder($channel->id)."/waiting-{$user->id}.log";
    }

    /**
     * One more part of it.
     *
     * @param  int  $from  bytes that came before: 0 begins anew
     * @return int|null bytes that are there by now; null where the part does not fit behind them, or is too much
     */
    public static function add(string $file, string $part, int $from): ?int
    {
        File::ensureDirectoryExists(dirname($file), 0o700);
        if ($from === 0) {
            self::forgetOld();
            File::delete($file);
        }
        clearstatcache(true, $file);
        $there = is_file($file) ? (int) filesize($file) : 0;
        if ($there !== $from || $there + strlen($part) > self::LARGEST) {
            return null;
        }
        file_put_contents($file, $part, FILE_APPEND | LOCK_EX);

        return $there + strlen($part);
    }

    public static function of(int $channel, string $name): string
    {
        return self::folder($channel).'/'.basename($name);
    }

    /** One that waits is one of a rehearsal from here on. @return string its name */
    public static function take(Channel $channel, User $user): string
    {
        $name = Str::ulid().'.log';
        File::move(self::waiting($channel, $user), self::of($channel->id, $name));

        return $name;
    }

    /** Its rehearsal came to nothing: it waits again. */
    public static function giveBack(Channel $channel, User $user, string $name): void
    {
        File::move(self::of($channel->id, $name), self::waiting($channel, $user));
    }

    /** Whether one more of so many bytes can be kept. */
    public static function hasRoom(Channel $channel, int $bytes): bool
    {
        $kept = array_filter(
            File::glob(self::folder($channel->id).'/*.log'),
            static fn (mixed $one): bool => is_string($one) && ! self::isWaiting($one),
        );

        return array_sum(array_map(filesize(...), $kept)) + $bytes <= self::TOGETHER;
    }

    public static function forget(int $channel, string $name): void
    {
        File::delete(self::of($channel, $name));
    }

    /** Those that wait too. */
    public static function forgetAll(int $channel): void
    {
        File::deleteDirectory(self::folder($channel));
    }

    /** @return Generator<int, string> UTF-8, each bounded */
    public static function lines(string $file): Generator
    {
        $open = is_file($file) ? @fopen($file, 'rb') : false;
        if ($open === false) {
            return;
        }
        try {
            for ($number = 0; ($line = fgets($open, self::LINE)) !== false; $number++) {
                for ($rest = $line; is_string($rest) && ! str_ends_with($rest, "\n") && ! feof($open);) {
                    $rest = fgets($open, self::LINE);
                }
                yield mb_scrub($number === 0 ? preg_replace('/^\xEF\xBB\xBF/', '', $line) ?? $line : $line);
            }
        } finally {
            fclose($open);
        }
    }

    /** @return list<string> */
    public static function first(string $file, int $count): array
    {
        $lines = [];
        foreach (self::lines($file) as $line) {
            if (count($lines) >= $count) {
                break;
            }
            $lines[] = rtrim($line, "\r\n");
        }

        return $lines;
    }

    /** Those of rehearsals that are gone, and those that nobody came back for. */
    public static function forgetOld(): void
    {
        foreach (File::glob(self::all().'/*/*.log') as $old) {
            $keeps = is_string($old) && self::isWaiting($old) ? self::WAITS : (RehearsalRow::DAYS + 1) * 86_400;
            if (is_string($old) && (int) filemtime($old) < time() - $keeps) {
                File::delete($old);
            }
        }
    }

    private static function isWaiting(string $file): bool
    {
        return str_starts_with(basename($file), 'waiting-');
    }

    private static function folder(int $channel): string
    {
        return self::all()."/$channel";
    }

    private static function all(): string
    {
        return config()->string('rehearsals.logs');
    }
}
