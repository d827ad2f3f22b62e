<?php

declare(strict_types=1);

namespace App\Air\Streams;

use Illuminate\Support\Facades\DB;

/**
 * That a session may read along. It ends with the session: whoever signs out, or whose password is changed, reads no
 * further, and keys that were given out before open nothing any more.
 */
final class Grant
{
    /** A page that reads along for longer asks anew: every stream begins with a new key. */
    private const HOURS = 12;

    /** @return string what a key to a stream is bound to */
    public static function of(string $session, int $user): string
    {
        $id = self::id($session);
        DB::table('stream_grants')->upsert(
            ['id' => $id, 'user_id' => $user, 'expires_at' => now()->addHours(self::HOURS)],
            ['id'],
            ['user_id', 'expires_at'],
        );

        return $id;
    }

    public static function end(string $session): void
    {
        DB::table('stream_grants')->where('id', self::id($session))->delete();
    }

    public static function endAllOf(int $user): void
    {
        DB::table('stream_grants')->where('user_id', $user)->delete();
    }

    private static function id(string $session): string
    {
        return substr(hash('sha256', "stream of events\0$session"), 0, 40);
    }
}
