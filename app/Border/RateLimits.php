<?php

declare(strict_types=1);

namespace App\Border;

use App\Models\User;
use Closure;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;

/**
 * How often who may ask for what. Each has a count of its own, named by what it protects, so that no one uses up
 * another.
 */
final class RateLimits
{
    /** Requests a minute. */
    private const BY_PERSON = [
        'typing' => 1_200,
        'asking' => 30,
        'trying' => 600,
        'rehearsing' => 30,
        'watching' => 120,
        'streaming' => 60,
        'saying' => 120,
        'harbour' => 60,
        'channels' => 10,
        'inviting' => 20,
        'account' => 10,
    ];

    private const BY_ADDRESS = [
        'live' => 1_200,
        'sign-in' => 30,
        'sign-in-link' => 20,
        'invitation' => 30,
        'registration' => 10,
        'password' => 6,
    ];

    public static function register(): void
    {
        foreach (self::BY_PERSON as $name => $often) {
            RateLimiter::for($name, self::limit($often, static function (Request $request): string {
                $user = $request->user();

                return $user instanceof User ? "person {$user->id}" : "address {$request->ip()}";
            }));
        }
        foreach (self::BY_ADDRESS as $name => $often) {
            RateLimiter::for(
                $name,
                self::limit($often, static fn (Request $request): string => 'address '.$request->ip()),
            );
        }
    }

    /**
     * @param  Closure(Request): string  $who
     * @return Closure(Request): Limit
     */
    private static function limit(int $often, Closure $who): Closure
    {
        return static fn (Request $request): Limit => Limit::perMinute($often)->by($who($request));
    }
}
