<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Publish\ChatController;
use Closure;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/** Nothing from elsewhere is loaded, nothing inline is run, nobody frames the application. */
final readonly class SecurityHeaders
{
    public function __construct(private Repository $config)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // The editor makes style elements of its own, and is given this to mark them with; it also writes style attributes,
        // which can dress a text but run nothing.
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        // Pages read along with the chat at the talker's own port, and nowhere else.
        $streams = ChatController::streamAddress($request, $this->config);
        $origin = implode('/', array_slice(explode('/', $streams), 0, 3));
        $response->headers->add([
            'Content-Security-Policy' => "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{$nonce}'; style-src-attr 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self' {$origin}; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
        ]);

        return $response;
    }
}
