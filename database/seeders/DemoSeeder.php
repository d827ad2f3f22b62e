<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\Role;
use App\Models\Membership;
use App\Models\User;
use App\Publish\Editions;
use App\Storage\MemoryRows;
use App\Storage\PackRepository;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use SilverParrot\Format\PackFormat;
use SilverParrot\Rehearsal\MemoryFormat;

/** Lantern Cove: a made-up world to learn in, from the documents in docs/examples. */
final class DemoSeeder extends Seeder
{
    public function run(PackRepository $packs, MemoryRows $memory, Editions $editions): void
    {
        $wren = User::query()->create([
            'name' => 'Wren Halloway',
            'email' => 'wren@lantern-cove.example',
            'password' => Str::password(24),
        ]);
        $wren->forceFill(['is_operator' => true])->save();
        $ilse = User::query()->create([
            'name' => 'Ilse Brandt',
            'email' => 'ilse@lantern-cove.example',
            'password' => Str::password(24),
        ]);
        [$pack] = PackFormat::read((string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')));
        [$situation] = MemoryFormat::read(
            (string) file_get_contents(base_path('docs/examples/lantern-cove.memory.json')),
            $pack,
        );
        $channel = $packs->make(
            $pack,
            $wren,
            ['started' => now()->subHours(2)->startOfMinute()->toIso8601ZuluString()] + $situation->channel,
        );
        $memory->fill($channel, $situation->memory);
        $editions->publish($channel, 'The demo as it ships', $wren);
        Membership::query()->create(['channel_id' => $channel->id, 'user_id' => $ilse->id, 'role' => Role::Author]);
    }
}
