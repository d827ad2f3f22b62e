<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * Somebody with an account.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        $login = Str::lower(Str::random(12));

        return [
            'name' => $login,
            'email' => static fn (array $of): string => Str::lower(
                is_string($of['name'] ?? null) ? $of['name'] : $login,
            ).'@lantern-cove.example',
            'password' => 'a long enough password',
        ];
    }
}
