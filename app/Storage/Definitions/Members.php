<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Accounts\Role;
use App\Models\Channel;
use App\Models\Membership;
use App\Models\User;

/** Who is in, by the person's number. */
final class Members implements Definition
{
    public function key(): string
    {
        return 'members';
    }

    public function isForTheStreamer(): bool
    {
        return true;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->memberships()->with('user')->where('user_id', (int) $subject)->first();

        return $row === null ? null : ['role' => $row->role->value, 'name' => $row->user->name];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $role = is_string($state['role'] ?? null) ? Role::tryFrom($state['role']) : null;
        // Nobody becomes the streamer, or stops being the streamer, by an undo; and whoever has no account any more
        // stays away.
        $channel->memberships()->where('user_id', (int) $subject)->where('role', '!=', Role::Streamer)->delete();
        if (
            $role !== null
            && $role !== Role::Streamer
            && User::query()->whereKey((int) $subject)->exists()
            && ! $channel->memberships()->where('user_id', (int) $subject)->exists()
        ) {
            Membership::query()->create(['channel_id' => $channel->id, 'user_id' => (int) $subject, 'role' => $role]);
        }
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $name = $after['name'] ?? $before['name'] ?? '';

        return (is_string($name) ? $name : 'Somebody').($after === null ? ' was removed' : ' joined');
    }
}
