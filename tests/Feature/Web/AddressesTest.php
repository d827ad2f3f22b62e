<?php

declare(strict_types=1);

namespace Tests\Feature\Web;

use App\Remember\DefinitionAt;
use App\Remember\UsesOfNames;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Web\AddressesLookedAt;
use App\Web\LookAtAddresses;
use App\Web\WebClient;
use Illuminate\Support\Facades\DB;
use SilverParrot\Checks\WrittenAddresses;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\Address\AddressState;
use SilverParrot\Lookup\Address\LookedAt;
use SilverParrot\Value\Moment;
use Tests\Air\HarbourProcess;
use Tests\Feature\TestCase;

/** Addresses in responses are looked at now and then. */
final class AddressesTest extends TestCase
{
    private const SOURCE = 'https://'.WebClient::HARBOUR;

    public function test_what_moved_or_is_gone_is_a_finding_and_nobody_is_asked_twice_a_day_or_without_leave(): void
    {
        $harbour = HarbourProcess::startNear(27080);
        try {
            config(['air.harbour' => "127.0.0.1:{$harbour->details}"]);
            $this->actingAs($this->wren);
            // Those that nobody may ask keep no other waiting, however many there are.
            $near = array_map(static fn (int $number): string => "http://127.0.0.1/$number", range(1, 30));
            $all = Say::on('!all', mb_substr(implode(' ', $near), 0, 450));
            app(CommandRepository::class)->save($this->cove, null, $all, $this->wren, null);
            $text = 'At '.self::SOURCE.'/chandler or '.self::SOURCE.'/shop or '.self::SOURCE.'/attic';
            $links = Say::on('!links', "$text or http://127.0.0.1/x");
            app(CommandRepository::class)->save($this->cove, null, $links, $this->wren, null);
            $count = "http://127.0.0.1:{$harbour->details}/sources/asked";
            $asked = static fn (): array => array_intersect_key(
                (array) json_decode((string) file_get_contents($count), true),
                ['chandler' => 1, 'shop' => 1, 'attic' => 1],
            );
            LookAtAddresses::dispatchSync($this->cove->id);
            self::assertSame([], $asked(), 'nobody has allowed it');

            $look = function (string $all): void {
                $this->put(route('remember.addresses', $this->cove), ['all' => $all])->assertSessionHas('notice');
                LookAtAddresses::dispatchSync($this->cove->id);
            };
            $look('1');
            // What says no to HEAD is asked in full.
            self::assertSame(['chandler' => 1, 'shop' => 1, 'attic' => 2], $asked());
            $states = array_map(
                static fn ($one): string => trim("{$one->state->value} {$one->to}"),
                AddressesLookedAt::wrong($this->cove),
            );
            self::assertSame([
                self::SOURCE.'/chandler' => 'moved '.self::SOURCE.'/shop',
                self::SOURCE.'/attic' => 'gone',
            ], $states);
            $this->get(route('write.findings', $this->cove))->assertSee('has moved for good');
            $this->get(route('remember.lookups', $this->cove))
                ->assertSee('checked. Findings stand where these are written')
                ->assertSee('has moved to '.self::SOURCE.'/shop');
            $look('1');
            self::assertSame(['chandler' => 1, 'shop' => 1, 'attic' => 2], $asked());
            $this->travel(25)->hours();
            $look('1');
            self::assertSame(['chandler' => 2, 'shop' => 2, 'attic' => 4], $asked());
            // What is not written any more is forgotten.
            $row = $this->cove->commands()->where('trigger', '!links')->firstOrFail();
            app(CommandRepository::class)->save(
                $this->cove,
                $row,
                Say::on('!links', 'None.'),
                $this->wren,
                $row->revision,
            );
            $look('');
            self::assertSame([], AddressesLookedAt::wrong($this->cove));
            self::assertSame(0, DB::table('addresses_looked_at')->where('address', 'like', '%harbour%')->count());
        } finally {
            $harbour->end();
        }
    }

    public function test_an_address_that_a_timer_or_a_reply_for_a_closed_gate_says_is_found_too_and_leads_there(): void
    {
        $this->actingAs($this->wren);
        $gone = 'https://gone.lantern-cove.example/x';
        $this->cove->forceFill(['refusals' => ['cost' => "See $gone"]])->save();
        $this->post(route('write.timers.store', $this->cove), [
            'name' => 'charts',
            'minutes' => '30',
            'lines' => '10',
            'messages' => "Charts at $gone for all",
        ])->assertSessionHasNoErrors();
        self::assertContains($gone, WrittenAddresses::in(app(Assembler::class)->pack($this->cove)));
        app(AddressesLookedAt::class)->keep(
            $this->cove->id,
            $gone,
            new LookedAt(AddressState::Gone),
            Moment::of(now()),
        );
        $this->get(route('write.timers', $this->cove))->assertSee("$gone is gone.");
        $this->get(route('write.findings', $this->cove))
            ->assertSee("$gone is gone.")
            ->assertSee('Open timer charts')
            ->assertSee('Open replies of closed gates');
    }

    public function test_whatever_a_finding_may_be_about_is_opened_from_it(): void
    {
        $this->actingAs($this->wren);
        $names = app(Assembler::class)->names($this->cove);
        $kinds = [
            'facts' => array_column($names->facts, 'name'),
            'lists' => array_column($names->lists, 'name'),
            'counters' => array_column($names->counters, 'name'),
            'fields' => array_column($names->fields, 'name'),
            'lookups' => array_column($names->lookups, 'name'),
            'ladders' => array_column($names->ladders, 'field'),
            'timers' => array_column($names->timers, 'name'),
        ];
        foreach ($kinds as $kind => $known) {
            self::assertNotSame([], $known, $kind);
            foreach ($known as $place => $name) {
                $of = DefinitionAt::of($names, "/$kind/$place/text");
                self::assertStringEndsWith($name, (string) $of);
                $this->get(UsesOfNames::place($this->cove, (string) $of))->assertOk()->assertSee($name);
            }
        }
        self::assertNull(DefinitionAt::of($names, '/facts/999/text'));
        self::assertNull(DefinitionAt::of($names, ''));
    }

    public function test_only_the_streamer_says_that_all_are_looked_at(): void
    {
        $this->actingAs($this->member('Rue', \App\Accounts\Role::Author));
        $this->put(route('remember.addresses', $this->cove), ['all' => '1'])->assertForbidden();
        self::assertFalse($this->cove->refresh()->looks_at_addresses);
    }
}
