<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Channel;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Who may do what in a channel. To whoever is no member, the channel is not there at all. */
final class ChannelPolicy
{
    public function view(User $user, Channel $channel): Response
    {
        return $this->role($user, $channel) === null ? Response::denyAsNotFound() : Response::allow();
    }

    public function write(User $user, Channel $channel): Response
    {
        $role = $this->role($user, $channel);

        return match (true) {
            $role === null => Response::denyAsNotFound(),
            $role->mayWrite() => Response::allow(),
            default => Response::deny('You may read this channel, not write in it.'),
        };
    }

    public function manage(User $user, Channel $channel): Response
    {
        $role = $this->role($user, $channel);

        return match ($role) {
            null => Response::denyAsNotFound(),
            Role::Streamer => Response::allow(),
            default => Response::deny('Only the streamer chooses who is in.'),
        };
    }

    private function role(User $user, Channel $channel): ?Role
    {
        return $user->roleIn($channel);
    }
}
