<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/**
 * A form that was sent after its session had ended leads to signing in and back to its page, which has kept the text.
 */
final class SessionEnded
{
    private const PAGE_EXPIRED = 419;

    public function __invoke(HttpExceptionInterface $exception, Request $request): ?RedirectResponse
    {
        if (
            $exception->getStatusCode() !== self::PAGE_EXPIRED
            || $request->expectsJson()
            || $request->hasHeader('HX-Request')
        ) {
            return null;
        }
        $from = $request->headers->get('referer', '');
        if (is_string($from) && str_starts_with($from, $request->getSchemeAndHttpHost().'/')) {
            redirect()->setIntendedUrl($from);
        }

        return redirect()
            ->route('sign-in')
            ->with(
                'notice',
                'Your session had ended, so nothing was saved yet. Sign in: what you typed is waiting on its page.',
            );
    }
}
