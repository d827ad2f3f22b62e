<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Membership;
use App\Models\Role;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Somebody in a channel; an author, where nothing else is said.
 *
 * @extends Factory<Membership>
 */
final class MembershipFactory extends Factory
{
    protected $model = Membership::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['channel_id' => ChannelFactory::new(), 'user_id' => UserFactory::new(), 'role' => Role::Author];
    }
}
