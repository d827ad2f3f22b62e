<?php

declare(strict_types=1);

namespace Tests\Feature\Storage;

use App\Publish\Editions;
use App\Storage\CommandRepository;
use App\Storage\MariaDbRanking;
use App\Storage\MariaDbStore;
use App\Storage\MemoryRows;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\FoundRanking;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Source\Fold;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

final class RankingTest extends TestCase
{
    public function test_the_database_finds_who_has_the_most_as_a_memory_at_hand_does(): void
    {
        mt_srand(26);
        $memory = [];
        for ($i = 0; $i < 120; $i++) {
            // Some share a number, some were never seen, some have a text where a number should be, some names fold.
            $person = Person::known("id_$i%", ['Ågot', 'odo', 'Pia_', 'ß', 'X'][$i % 5].$i, "N$i", Levels::of());
            if ($i % 7 !== 0) {
                $memory[Key::person($person->login)->id()] = $person->record();
            }
            $memory[Key::field('pebbles', $person->id)->id()] = $i % 11 === 0 ? 'many' : mt_rand(0, 20);
            $memory[Key::field('pebbles_too', $person->id)->id()] = 1_000 + $i;
        }
        foreach (['viewers', 'balances', 'viewer_values'] as $table) {
            DB::table($table)->where('channel_id', $this->cove->id)->delete();
        }
        app(MemoryRows::class)->fill($this->cove, $memory);
        app(MemoryRows::class)->fill(
            $this->harbour($this->person('Pia')),
            [Key::field('pebbles', 'id_1%')->id() => 9_999] + $memory,
        );
        $told = static fn (array $top): array => array_map(
            static fn (array $one): string => "{$one[0]->login} {$one[1]}",
            $top,
        );
        $database = new MariaDbRanking(DB::connection(), $this->cove->id);
        foreach ([1, 5, 20] as $count) {
            self::assertSame(
                $told((new FoundRanking(static fn (): array => $memory))->top('pebbles', $count)),
                $told($database->top('pebbles', $count)),
                (string) $count,
            );
        }
        // Whoever has no number any more is in no ranking.
        $best = $database->top('pebbles', 1)[0][0];
        $key = Key::field('pebbles', $best->id);
        (new MariaDbStore(DB::connection(), $this->cove->id))->turn(
            EventKey::none(),
            Reads::of($key),
            static fn (View $memory): Tally => new Tally([
                new Change($key, $memory->value($key), 'many', 'viewer.pebbles', $best->login),
            ]),
        );
        self::assertNotContains(
            $best->id,
            array_map(static fn (array $one): string => $one[0]->id, $database->top('pebbles', 120)),
        );
        // Neither a scan of all viewers nor a sort of them: the index gives the best first.
        $plan = DB::selectOne(
            "EXPLAIN SELECT viewer_id, amount FROM balances WHERE channel_id = {$this->cove->id} AND kind = 'field' "
                ."AND unit = 'pebbles' ORDER BY amount DESC LIMIT 200",
        );
        self::assertSame('balances_channel_id_kind_unit_amount_index', $plan->key);
        self::assertStringNotContainsString('filesort', $plan->Extra);
        self::assertSame([], $database->top('peb_les', 5), 'signs of patterns are no patterns');
        self::assertSame([], $database->top(Fold::caseless('Nothing'), 5));
    }

    public function test_a_ranking_is_said_on_the_air_and_in_the_simulated_chat(): void
    {
        app(CommandRepository::class)->save(
            $this->cove,
            null,
            Say::on('!rich', 'Richest: [top 2 by pebbles | scores]')->gated(Cooldown::none()),
            $this->wren,
            null,
        );
        $odo = Person::known('cast-odo', 'odo', 'Odo', Levels::of());
        $quill = Person::known('cast-quill', 'quill', 'Quill', Levels::of());
        DB::table('balances')->where('channel_id', $this->cove->id)->where('unit', 'pebbles')->delete();
        foreach ([[$odo, 7], [$quill, 9]] as [$person, $pebbles]) {
            app(MemoryRows::class)->fill($this->cove, [
                Key::person($person->login)->id() => $person->record(),
                Key::field('pebbles', $person->id)->id() => $pebbles,
            ]);
        }
        app(Editions::class)->publish($this->cove, '', $this->wren);
        OnAir::of($this->cove)->hear('odo', '!rich');
        self::assertSame(
            'Richest: 1. Quill 9, 2. Odo 7',
            DB::table('outgoing')->where('channel_id', $this->cove->id)->value('text'),
        );
        $this->actingAs($this->wren)
            ->post(route('rehearse.try', $this->cove), ['do' => 'say', 'speaker' => 'pia', 'line' => '!rich'])
            ->assertSee('Richest: 1. Quill 9, 2. Odo 7');
    }
}
