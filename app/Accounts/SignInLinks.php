<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\SignInLink;
use App\Models\User;

/** Links that sign a person in once, printed on the terminal of whoever starts the application. */
final class SignInLinks
{
    private const MINUTES = 30;

    public function issue(User $user): string
    {
        SignInLink::query()->where('expires_at', '<', now())->delete();
        $token = bin2hex(random_bytes(24));
        SignInLink::query()->create([
            'user_id' => $user->id,
            'token_hash' => hash('sha256', $token),
            'expires_at' => now()->addMinutes(self::MINUTES),
        ]);

        return route('sign-in.link', ['token' => $token]);
    }

    /** The person, once: deleting the row decides who was first when the link is opened twice at the same moment. */
    public function redeem(string $token): ?User
    {
        $link = SignInLink::query()
            ->with('user')
            ->where('token_hash', hash('sha256', $token))
            ->where('expires_at', '>', now())
            ->first();

        return $link !== null && SignInLink::query()->whereKey($link->getKey())->delete() === 1 ? $link->user : null;
    }
}
