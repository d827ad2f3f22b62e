<?php

declare(strict_types=1);

namespace App\Border;

use Illuminate\Http\Request;
use Illuminate\Session\DatabaseSessionHandler;
use Illuminate\Session\Middleware\StartSession as LaravelStartSession;
use Illuminate\Support\Facades\DB;

/**
 * Sessions of pages. What scripts ask in the background (a preview, the simulated chat, new lines) reads the session
 * and writes nothing: several are under way at once, and one that ends late would put back an older session and take
 * away the notice that the next page is to show.
 */
final class StartSession extends LaravelStartSession
{
    /** A session that is only read still counts as used; told so often at most. */
    private const USED_EVERY_SECONDS = 60;

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if (! self::isInBackground($request)) {
            parent::saveSession($request);

            return;
        }
        $session = $request->session();
        if ($session->getHandler() instanceof DatabaseSessionHandler) {
            $now = now()->getTimestamp();
            DB::table('sessions')
                ->where('id', $session->getId())
                ->where('last_activity', '<', $now - self::USED_EVERY_SECONDS)
                ->update(['last_activity' => $now]);
        }
    }

    private static function isInBackground(Request $request): bool
    {
        return $request->ajax() || $request->wantsJson() || $request->hasHeader('HX-Request');
    }
}
