<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Models\CommandRow;
use App\Storage\CommandRepository;
use App\Write\FindCommands;
use App\Write\ListOrder;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Say;
use Tests\Feature\TestCase;

/** Many commands at once, and the list that they are chosen in. */
final class ManyTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_what_was_chosen_is_changed_at_once_and_taken_back_at_once(): void
    {
        $tide = $this->command('!tide');
        $dry = $this->command('!dry');
        $before = $this->all();
        foreach (
            [
                ['off', [], '2 commands switched off.'],
                ['group', ['value' => 'The board'], '2 commands moved to The board.'],
                ['cooldown', ['value' => '45'], '2 commands with a cooldown of 45 s.'],
                ['level', ['level' => 'moderator'], '2 commands with another level.'],
                ['delete', [], '2 commands deleted.'],
            ] as [$do, $more, $notice]
        ) {
            $undo = $this->many(['do' => $do, 'chosen' => [$tide->id, $dry->id]] + $more, $notice);
            $now = $this->all();
            self::assertSame(
                ['!dry', '!tide'],
                array_values(array_filter(
                    array_keys($before),
                    static fn (string $of): bool => ($now[$of] ?? null) !== $before[$of],
                )),
                $do,
            );
            $this->post($undo)->assertSessionHas('notice', '2 commands are as they were.');
            self::assertEquals($before, $this->all(), $do);
            [$tide, $dry] = [$this->command('!tide'), $this->command('!dry')];
        }
        $this->many(
            ['do' => 'cooldown', 'chosen' => [$tide->id], 'value' => '7'],
            'One command with a cooldown of 7 s.',
        );
        $kept = CommandRepository::toCore($this->command('!tide'));
        self::assertSame(7, $kept->gates->get(Cooldown::class)->channel);
        $this->many(
            ['do' => 'cooldown', 'chosen' => [$tide->id], 'value' => '7'],
            'They are that already; nothing was changed.',
        );
    }

    public function test_the_order_of_all_phrases_is_shown_moved_and_put_back(): void
    {
        foreach (['!tide' => 'when .. sea trial', '!dry' => 'sea trial .. when'] as $trigger => $text) {
            $row = $this->command($trigger);
            $row->update(['phrases' => [...$row->phrases, $text]]);
        }
        $page = route('write.phrase-order', $this->cove);
        $this->get($page)->assertOk()->assertSeeInOrder(['3 words', 'when .. sea trial', 'sea trial .. when']);
        $of = $this->command('!dry')->stable_id;
        $moved = $this->post(route('write.phrase-order.move', $this->cove), [
            'command' => $of,
            'phrase' => 'sea trial .. when',
            'to' => 'up',
        ]);
        $moved->assertRedirect($page)->assertSessionHas('notice', '“sea trial .. when” was moved.');
        $undo = session('undo');
        self::assertIsString($undo);
        $this->get($page)->assertSeeInOrder(['sea trial .. when', 'when .. sea trial']);
        $this->post($undo)->assertSessionHas('notice', 'The order is as it was.');
        $this->get($page)->assertSeeInOrder(['when .. sea trial', 'sea trial .. when']);
        $this->post(route('write.phrase-order.move', $this->cove), ['command' => $of, 'phrase' => 'nothing'])
            ->assertSessionHas('notice', 'That phrase is not there any more; nothing was moved.');
    }

    public function test_all_that_was_found_and_a_whole_group_are_chosen_without_listing_them(): void
    {
        $this->many(['do' => 'level', 'all' => '1', 'find' => 'pebbles games', 'level' => 'vip'], null);
        $vips = array_keys(array_filter(
            $this->cores(),
            static fn ($one): bool => $one->gates->get(ForLevels::class)->rule->atLeast === Level::Vip,
        ));
        self::assertNotSame([], $vips);
        self::assertSame(
            FindCommands::matching($this->cove, 'games')->whereIn('trigger', $vips)->count(),
            count($vips),
            'nothing else was touched',
        );
        $this->many(['do' => 'off', 'in' => 'Games'], null);
        foreach ($this->cores() as $one) {
            $isOff = $one->about->group === 'Games' || $one->trigger === '!regatta';
            self::assertSame($isOff, ! $one->isOn(), $one->trigger);
        }
    }

    public function test_what_is_wrong_changes_nothing_and_says_so(): void
    {
        $tide = $this->command('!tide')->id;
        $other = $this->harbour($this->person('Odo'));
        app(CommandRepository::class)->save($other, null, Say::on('!theirs', 'x'), $this->wren, null);
        $theirs = CommandRow::query()->where('channel_id', $other->id)->where('trigger', '!theirs')->sole()->id;
        $before = $this->all();
        foreach (
            [
                [['do' => 'cooldown', 'value' => 'soon'], 'A cooldown is a whole number of seconds from 0 to 86,400.'],
                [['do' => 'cooldown', 'value' => '-1'], 'A cooldown is a whole number of seconds from 0 to 86,400.'],
                [['do' => 'level', 'level' => 'king'], 'Choose a level.'],
                [['do' => 'sink'], 'Choose what to do with them.'],
                [['do' => 'group', 'value' => str_repeat('x', 61)], 'A group’s name has at most 60 characters.'],
                [['do' => 'delete', 'chosen' => [$theirs, 'x', ['y']]], 'Select commands first.'],
            ] as [$typed, $notice]
        ) {
            $this->post(route('write.many', $this->cove), $typed + ['chosen' => [$tide]])
                ->assertSessionHas('notice', $notice);
        }
        self::assertSame($before, $this->all());
        self::assertTrue(CommandRow::query()->whereKey($theirs)->exists());
    }

    public function test_what_somebody_changed_since_stays_when_the_rest_is_taken_back(): void
    {
        $chosen = [$this->command('!tide')->id, $this->command('!dry')->id];
        $undo = $this->many(['do' => 'off', 'chosen' => $chosen], '2 commands switched off.');
        $row = $this->command('!dry');
        app(CommandRepository::class)->save(
            $this->cove,
            $row,
            CommandRepository::toCore($row)->failing('Changed since.'),
            $this->wren,
            $row->revision,
        );
        $this->post($undo)->assertSessionHas('notice', '1 are as they were; 1 changed since, and stay.');
        self::assertTrue(CommandRepository::toCore($this->command('!tide'))->isOn());
        self::assertSame('Changed since.', $this->command('!dry')->if_it_fails);
    }

    public function test_the_list_comes_in_stretches_in_each_order_and_none_is_left_out(): void
    {
        DB::table('outgoing')->insert(array_map(fn (string $trigger): array => [
            'channel_id' => $this->cove->id,
            'event_key' => uniqid(),
            'position' => 0,
            'text' => 'x',
            'voice' => 'parrot',
            'place' => 'chat',
            'answer_to' => '',
            'to_login' => '',
            'command' => $this->command($trigger)->stable_id,
            'state' => 'handed',
            'queued_at' => now(),
            'handed_at' => $trigger === '!dry' ? now() : now()->subDay(),
        ], ['!tide', '!tide', '!dry']));
        $this->command('!crew')->forceFill(['updated_at' => now()->addMinute()])->save();
        $find = app(FindCommands::class);
        $first = ['group' => '!omen', 'name' => '!ahoy', 'used' => '!dry', 'often' => '!tide', 'changed' => '!crew'];
        foreach (ListOrder::cases() as $order) {
            $seen = $heads = [];
            for ($from = 0; $from !== null; $from = $found['next']) {
                $found = $find->in($this->cove, '', $order, $from, 7);
                foreach ($found['groups'] as [$head, $entries]) {
                    $heads = $head === null ? $heads : [...$heads, $head];
                    foreach ($entries as $entry) {
                        $seen[] = $entry->command->trigger;
                    }
                }
            }
            self::assertSame($this->cove->commands()->count(), count(array_unique($seen)), $order->value);
            self::assertSame($heads, array_unique($heads), 'a group that goes on has one heading');
            self::assertSame($order === ListOrder::Group, $heads !== []);
            self::assertSame($first[$order->value], $seen[0], $order->value);
        }
        $this->get(route('write', ['channel' => $this->cove, 'order' => 'often']))
            ->assertSee('2 times this week, last 1 day ago');
        $this->get(route('write', ['channel' => $this->cove, 'from' => 20]), ['HX-Request' => 'true'])
            ->assertSee('class="entries"', false)
            ->assertDontSee('id="entries"', false);
        // After a press there are as many lines as before.
        $page = (string) $this->post(
            route('write.switch', [$this->cove, $this->command('!tide')]),
            ['shown' => '30'],
            ['HX-Request' => 'true'],
        )->getContent();
        self::assertSame(30, substr_count($page, '<li '));
    }

    /** @return string the address that takes it back */
    private function many(array $typed, ?string $notice): string
    {
        $answer = $this->post(route('write.many', $this->cove), $typed);
        $notice === null ? $answer->assertSessionHas('undo') : $answer->assertSessionHas('notice', $notice);
        $undo = session('undo');

        return is_string($undo) ? $undo : '';
    }

    /** @return array<string, \SilverParrot\Pack\Command> by trigger */
    private function cores(): array
    {
        $all = [];
        foreach (
            $this->cove
                ->commands()
                ->with(['aliases', 'responses', 'expectations'])
                ->orderBy('trigger')
                ->get() as $row
        ) {
            $all[$row->trigger] = CommandRepository::toCore($row);
        }

        return $all;
    }

    /** @return array<string, array<string, mixed>> as the pack document writes them, by trigger */
    private function all(): array
    {
        return array_map(\SilverParrot\Format\CommandFormat::write(...), $this->cores());
    }

    public function test_the_list_tells_what_each_would_say_to_somebody_without_any_level_and_keeps_nothing_of_it(): void
    {
        $before = $this->wholeMemory();
        $said = static function (string $html, string $trigger): ?string {
            $line = '~>'.preg_quote($trigger, '~').'</a>.*?(?:<p class="says is-said"[^>]*>([^<]*)</p>|</li>)~s';
            self::assertSame(1, preg_match($line, $html, $found), $trigger);

            return isset($found[1]) ? html_entity_decode($found[1]) : null;
        };
        $html = (string) $this->get(route('write', [$this->cove, 'order' => 'name', 'shown' => 100]))->getContent();
        self::assertSame('coveWave Ahoy shore crew! Tamsin saved you a seat by the stove.', $said($html, '!ahoy'));
        // Of two replies the one for everybody; what hangs on the line, or is done first, is told as it is written.
        self::assertSame('Tonight: Planking the port side', $said($html, '!title'));
        self::assertNull($said($html, '!chalk'));
        self::assertSame($before, $this->wholeMemory());
    }
}
