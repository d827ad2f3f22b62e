<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Accounts\Role;
use App\Models\Channel;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * An empty channel of nobody. withStreamer() says whose it is.
 *
 * @extends Factory<Channel>
 */
final class ChannelFactory extends Factory
{
    protected $model = Channel::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'login' => Str::lower(Str::random(12)),
            'name' => static fn (array $of): string => Str::headline(
                is_string($of['login'] ?? null) ? $of['login'] : '',
            ),
            'language' => 'en',
            'zone' => 'UTC',
            'parrot' => 'silver_parrot',
            'talkers' => [],
            'details' => [],
            'seed' => static fn (array $of): mixed => $of['login'],
            'flood_person' => 5,
            'flood_channel' => 20,
        ];
    }

    public function withStreamer(User $user): self
    {
        return $this->has(MembershipFactory::new(['user_id' => $user->id, 'role' => Role::Streamer]), 'memberships');
    }
}
