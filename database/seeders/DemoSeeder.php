<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** Lantern Cove: a made-up world to learn in. */
final class DemoSeeder extends Seeder
{
    public function run(): void
    {
        User::query()->create(['name' => 'Wren Halloway', 'email' => 'wren@lantern-cove.example', 'password' => Str::password(24)]);
    }
}
