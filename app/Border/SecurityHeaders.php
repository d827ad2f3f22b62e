<?php

declare(strict_types=1);

namespace App\Border;

use App\Publish\ChatController;
use Closure;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * On all that is answered: nothing from elsewhere is loaded, nothing inline is run, nobody frames the application,
 * nothing is kept.
 */
final readonly class SecurityHeaders
{
    public function __construct(private Repository $config)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // The editor makes style elements of its own, and is given this to mark them with; it also writes style
        // attributes, which can dress a text but run nothing.
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        // Pages read along with the chat at the talker's own port, and nowhere else.
        $origin = implode('/', array_slice(explode('/', ChatController::streamAddress($request, $this->config)), 0, 3));
        $response->headers->add([
            'Content-Security-Policy' => "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{$nonce}'; "
                ."style-src-attr 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self' "
                ."{$origin}; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
            // Pages are private, each to whoever is signed in: no cache keeps them, the browser's own neither.
            'Cache-Control' => 'no-store, private',
        ]);

        return $response;
    }
}
