<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Channel;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Links that let one person into one channel, once, within a week. Whoever holds the link is meant, not an address. */
final class Invitations
{
    private const DAYS = 7;

    /** Of one channel at a time. */
    public const MOST = 50;

    /** @return string the token of the link; only its hash is kept */
    public function issue(Channel $channel, Role $role, User $by): string
    {
        Invitation::query()->where('expires_at', '<', now())->delete();
        $token = bin2hex(random_bytes(24));
        Invitation::query()->create([
            'channel_id' => $channel->id,
            'user_id' => $by->id,
            'role' => $role,
            'token_hash' => hash('sha256', $token),
            'expires_at' => now()->addDays(self::DAYS),
        ]);

        return $token;
    }

    public function find(string $token): ?Invitation
    {
        return Invitation::query()
            ->with(['channel', 'user'])
            ->where('token_hash', hash('sha256', $token))
            ->where('expires_at', '>', now())
            ->first();
    }

    /** @return Channel|null null where somebody was first; deleting the row decides that */
    public function accept(string $token, User $user): ?Channel
    {
        return DB::transaction(function () use ($token, $user): ?Channel {
            $invitation = $this->find($token);
            if ($invitation === null || Invitation::query()->whereKey($invitation->id)->delete() !== 1) {
                return null;
            }
            if ($user->roleIn($invitation->channel) !== Role::Streamer) {
                Membership::query()->updateOrCreate(
                    ['channel_id' => $invitation->channel_id, 'user_id' => $user->id],
                    ['role' => $invitation->role],
                );
            }

            return $invitation->channel;
        });
    }
}
