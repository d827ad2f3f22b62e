<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\Role;
use App\Models\Membership;
use App\Models\ScriptRow;
use App\Models\User;
use App\Publish\Editions;
use App\Storage\MemoryRows;
use App\Storage\PackRepository;
use App\Web\RecordedAnswers;
use App\Web\Secrets;
use App\Web\WebClient;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Value\Moment;

/** Lantern Cove: a made-up world to learn in, from the documents in docs/examples. */
final class DemoSeeder extends Seeder
{
    /** What the harbour’s own source wants to be shown. */
    private const YARD_KEY = 'a-key-of-the-yard';

    public function run(
        PackRepository $packs,
        MemoryRows $memory,
        Editions $editions,
        Secrets $secrets,
        RecordedAnswers $recorded,
    ): void {
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
        // The harbour’s own sources, on this machine.
        $channel->getConnection()->table('allowed_hosts')->insert([
            'channel_id' => $channel->id,
            'host' => WebClient::HARBOUR,
            'user_id' => $wren->id,
            'allowed_at' => now(),
        ]);
        $secrets->keep($channel->id, 'crew', 'X-Yard-Key', self::YARD_KEY, WebClient::HARBOUR);
        // As the sources answer on the demo’s evening, so that rehearsals say something before anybody has asked.
        [$answers] = CannedAnswersFormat::read(
            (string) file_get_contents(base_path('docs/examples/lantern-cove.readings.json')),
            $pack->lookups,
            Moment::of(now()),
        );
        foreach ($answers as $lookup => $canned) {
            foreach ($canned as $one) {
                $recorded->put($channel->id, $pack->lookups[$lookup]->id, $one);
            }
        }
        foreach (glob(base_path('docs/examples/*.script.yaml')) ?: [] as $file) {
            $text = (string) file_get_contents($file);
            [$read] = ScriptFormat::read($text, $pack);
            $script = new Script(basename($file, '.script.yaml'), $read->title ?? '', $text);
            $channel->scripts()->create(ScriptRow::columns($script));
        }
        $editions->publish($channel, 'The demo as it ships', $wren);
        Membership::query()->create(['channel_id' => $channel->id, 'user_id' => $ilse->id, 'role' => Role::Author]);
    }
}
