<?php

declare(strict_types=1);

namespace App\Border;

use App\Models\User;
use Closure;
use Illuminate\Contracts\Cache\Factory;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What takes work is done once at a time for each person: whoever asks for more gets 429 at once, and asks again with
 * what stands there then. So nobody's typing holds the workers that others need.
 */
final readonly class OneAtATime
{
    /** A worker that died meanwhile holds nobody off for longer, in seconds. */
    private const LONGEST = 10;

    public function __construct(private Factory $cache)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $what): Response
    {
        $user = $request->user();
        $store = $this->cache->store()->getStore();
        if (! $user instanceof User || ! $store instanceof LockProvider) {
            return $next($request);
        }
        $lock = $store->lock("$what of {$user->id}", self::LONGEST);
        if (! $lock->get()) {
            return new JsonResponse(['busy' => true], Response::HTTP_TOO_MANY_REQUESTS, ['Retry-After' => '1']);
        }
        try {
            return $next($request);
        } finally {
            $lock->release();
        }
    }
}
