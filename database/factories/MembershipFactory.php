<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Accounts\Role;
use App\Models\Membership;
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
