<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use Amp\TimeoutCancellation;
use App\Accounts\Role;
use App\Remember\Lookups\TypedRule;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\Viewers;
use App\Web\RecordedAnswers;
use App\Web\Secrets;
use App\Web\WebClient;
use App\Web\WebLookups;
use App\Write\Findings;
use Harbour\Sources;
use Illuminate\Support\Facades\DB;
use SilverParrot\Checks\Checks;
use SilverParrot\Document\Document;
use SilverParrot\Format\ParameterFormat;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\Answer;
use SilverParrot\Memory\Key;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Air\HarbourProcess;
use Tests\Feature\TestCase;

/** Look-ups made on their page. */
final class LookupsTest extends TestCase
{
    private const SEA = [
        'name' => 'sea',
        'address' => 'https://'.WebClient::HARBOUR.'/tides/{port}',
        'format' => 'json',
        'parameters' => [['name' => 'port', 'may' => '1 to 99', 'sample' => '17', 'sentence' => 'Ports have numbers']],
        'readings' => [
            ['name' => 'where', 'path' => 'port.name', 'type' => 'text'],
            ['name' => 'metres', 'path' => "tides[?kind=='high'] | [0].metres", 'type' => 'number', 'decimals' => '1'],
        ],
        'headers' => [['name' => 'Accept', 'value' => 'application/json'], ['name' => '', 'value' => '']],
        'keep' => ['least' => '30', 'most' => '3600', 'stale' => '600'],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
        DB::table('allowed_hosts')->insert([
            'channel_id' => $this->cove->id,
            'host' => WebClient::HARBOUR,
            'allowed_at' => now(),
        ]);
    }

    public function test_one_is_made_shown_changed_deleted_and_put_back(): void
    {
        $this->post(route('remember.lookups.store', $this->cove), self::SEA)
            ->assertRedirect(route('remember.lookups', [$this->cove, 'edit' => 'sea']))
            ->assertSessionHas('notice', 'lookup.sea is saved.');
        $this->get(route('remember.lookups', [$this->cove, 'edit' => 'sea']))
            ->assertOk()
            ->assertSee('1 to 99')
            ->assertSee('Ports have numbers')
            ->assertSee('application/json');
        $lookup = $this->cove->lookups()->where('stable_id', 'sea')->firstOrFail()->lookup();
        self::assertSame('https://'.WebClient::HARBOUR.'/tides/17', $lookup->addressWith(['port' => '17']));
        self::assertSame(30, $lookup->keep->least);
        $other = ['name' => 'water', 'readings' => []] + self::SEA;
        $this->put(route('remember.lookups.update', [$this->cove, 'sea']), $other)->assertSessionHasNoErrors();
        $this->get(route('remember.lookups', $this->cove))->assertSee('lookup.water was changed');
        $this->delete(route('remember.lookups.destroy', [$this->cove, 'sea']))->assertRedirect();
        self::assertFalse($this->cove->lookups()->where('stable_id', 'sea')->exists());
        $change = DB::table('definition_changes')->where('kind', 'lookups')->orderByDesc('id')->value('id');
        $this->post(route('definitions.undo', [$this->cove, $change]))->assertRedirect();
        self::assertSame('water', $this->cove->lookups()->where('stable_id', 'sea')->value('name'));
    }

    public function test_what_makes_no_sense_is_told_beside_its_field_and_nothing_typed_is_lost(): void
    {
        $wrong = [
            'name' => 'tide',
            'address' => 'https://{host}/',
            'parameters' => [['name' => 'port', 'may' => 'porth, tregarn', 'default' => 'nowhere']],
            'readings' => [['name' => 'high', 'path' => 'tides[', 'type' => 'text']],
            'headers' => [['name' => 'Host', 'value' => 'x']],
        ] + self::SEA;
        $page = route('remember.lookups', $this->cove);
        $this->from($page)
            ->post(route('remember.lookups.store', $this->cove), $wrong)
            ->assertRedirect($page)
            ->assertSessionHasErrors([
                'name' => 'There is one of this name already.',
                'address',
                'parameters.0.default',
                'readings.0.path',
                'headers.0.name',
            ]);
        $this->get($page)
            ->assertSee('tides[', false)
            ->assertSee('porth, tregarn')
            ->assertSee('cannot be read as a path');
    }

    public function test_what_a_parameter_may_be_is_typed_in_one_field_and_read_back_as_it_was(): void
    {
        foreach (
            [
                '' => [],
                'porth, tregarn' => ['one_of' => ['porth', 'tregarn']],
                '2 letters and more' => ['one_of' => ['2 letters and more']],
                '1 to 99' => ['number' => ['least' => 1, 'most' => 99]],
                'the channel’s language' => ['language' => true],
                '2-4 letters, "-, ", 3 digits' => ['parts' => [
                    ['letters' => [2, 4]],
                    ['text' => '-, '],
                    ['digits' => [3, 3]],
                ]],
                '1-20 letters or digits' => ['parts' => [['letters_or_digits' => [1, 20]]]],
            ] as $typed => $rule
        ) {
            self::assertSame($rule, TypedRule::read((string) $typed), (string) $typed);
            $document = Document::of(['name' => 'port'] + $rule);
            $parameter = ParameterFormat::read($document);
            self::assertSame([], $document->findings());
            self::assertSame((string) $typed, TypedRule::write($parameter));
        }
        $typed = ['parameters' => [
            ['name' => 'port', 'may' => '2-4 letters, "-", 1-3 digits', 'sample' => 'PO-17', 'longest' => '9'],
        ]] + self::SEA;
        $this->post(route('remember.lookups.store', $this->cove), $typed)->assertSessionHasNoErrors();
        $port = $this->cove->lookups()->where('stable_id', 'sea')->firstOrFail()->lookup()->parameters['port'];
        self::assertSame(['PO-17', null, 9], [$port->admitted('PO-17'), $port->admitted('17'), $port->longest]);
    }

    public function test_rows_that_are_refused_are_there_to_be_typed_on(): void
    {
        $page = route('remember.lookups', $this->cove);
        $twice = ['readings' => [
            ['name' => 'high', 'path' => 'tides[0].at', 'type' => 'text'],
            ['name' => 'High', 'path' => 'tides[1].at', 'type' => 'number', 'decimals' => 'x', 'unit' => 'fathoms'],
        ], 'keep' => ['least' => 'abc', 'most' => '60']] + self::SEA;
        $this->from($page)->post(route('remember.lookups.store', $this->cove), $twice)->assertSessionHasErrors();
        $this->get($page)
            ->assertSee('value="tides[1].at"', false)
            ->assertSee('value="fathoms"', false)
            ->assertSee('value="abc"', false);
    }

    public function test_a_new_name_changes_what_uses_it_a_copy_is_its_own_and_what_is_used_is_told_before_it_goes(): void
    {
        $ports = $this->cove->lookups()->where('stable_id', 'ports')->firstOrFail();
        (new RecordedAnswers(DB::connection()))->keep(
            $this->cove->id,
            $ports->lookup(),
            ['name' => 'porth'],
            new Answer(200, [], '{"ports":[]}', Moment::of(now())),
        );
        $this->post(route('write.store', $this->cove), $this->fields([
            'trigger' => '!mooring',
            'responses' => [['text' => 'Berth [lookup.ports.number name=words].']],
        ]))->assertRedirect();
        app(Findings::class)->of($this->cove, null);
        $this->get(route('remember.lookups', $this->cove))
            ->assertSeeInOrder(['lookup.ports', '!mooring', 'lookup.tide']);
        $typed = ['name' => 'moorings', 'address' => 'https://'.WebClient::HARBOUR.'/ports{?name}', 'readings' => [
            ['name' => 'number', 'path' => 'ports[0].id', 'type' => 'number'],
        ], 'parameters' => [['name' => 'name', 'from' => 'words', 'sample' => 'porth']]] + self::SEA;
        $update = route('remember.lookups.update', [$this->cove, 'ports']);
        $this->put($update, $typed)
            ->assertOk()
            ->assertSee('Rename lookup.ports to lookup.moorings')
            ->assertSee('name="parameters[0][from]" value="words"', false);
        self::assertSame('ports', $ports->refresh()->name);
        $this->put($update, ['confirmed' => '1'] + $typed)->assertRedirect();
        self::assertSame('moorings', $ports->refresh()->name);
        $row = $this->cove->commands()->where('trigger', '!mooring')->firstOrFail();
        $said = CommandRepository::toCore($row)->responses[0]->text();
        self::assertSame('Berth [lookup.moorings.number name=words].', $said);
        $tide = $this->cove->lookups()->where('stable_id', 'tide')->firstOrFail()->lookup();
        self::assertSame('lookup.moorings.number', $tide->parameters['port']->from);

        $this->post(route('remember.lookups.copy', [$this->cove, 'ports']))
            ->assertSessionHas('notice', 'lookup.moorings2 is a copy of lookup.moorings.');
        $copy = $this->cove->lookups()->where('name', 'moorings2')->firstOrFail()->lookup();
        self::assertSame($ports->lookup()->address->text, $copy->address->text);
        app(Findings::class)->of($this->cove, null);
        $destroy = route('remember.lookups.destroy', [$this->cove, 'ports']);
        $this->delete($destroy)->assertOk()->assertSee('Delete lookup.moorings?')->assertSee('!mooring');
        self::assertTrue($this->cove->lookups()->where('stable_id', 'ports')->exists());
        $this->delete($destroy, ['confirmed' => '1'])->assertRedirect();
        self::assertFalse($this->cove->lookups()->where('stable_id', 'ports')->exists());
    }

    public function test_what_is_near_or_secret_is_told_and_kept_and_what_is_not_ready_stands_before_publishing(): void
    {
        $ask = fn (string $address): string => html_entity_decode((string) $this->post(
            route('remember.lookups.ask', $this->cove),
            ['address' => $address] + self::SEA,
        )->getContent());
        self::assertStringContainsString('The host is this machine', $ask('http://0x7f.1/'));
        self::assertStringContainsString('sea.org:8443 was never allowed', $ask('https://sea.org:8443/'));
        self::assertStringContainsString('What lives at that port is no web source', $ask('https://sea.org:25/'));
        $sample = ['parameters' => [['name' => 'port', 'may' => '1 to 9', 'sample' => '17']]] + self::SEA;
        $this->post(route('remember.lookups.ask', $this->cove), $sample)->assertSee('Give port a sample');
        $row = $this->cove->lookups()->where('stable_id', 'weather')->firstOrFail();
        $row->update(['document' => [
            'address' => 'https://weather.org/',
            'headers' => [['name' => 'X-Key', 'secret' => true]],
            'keep' => ['ahead' => 15],
        ] + $row->document]);
        $this->get(route('publish', $this->cove))
            ->assertSee('asks weather.org, which the streamer hasn’t allowed')
            ->assertSee('was never tried');
        $this->put(route('remember.lookups.update', [$this->cove, 'weather']), [
            'name' => 'weather',
            'format' => 'xml',
            'parameters' => [],
            'address' => 'https://weather.org/now',
            'headers' => [['name' => 'x-key', 'value' => '']],
        ] + self::SEA)->assertSessionHasErrors(['readings.1.path']);
        $this->put(route('remember.lookups.update', [$this->cove, 'weather']), [
            'name' => 'weather',
            'format' => 'xml',
            'parameters' => [],
            'readings' => [['name' => 'sky', 'path' => '/weather/sky', 'type' => 'text']],
            'address' => 'https://weather.org/now',
            'headers' => [['name' => 'x-key', 'value' => '']],
        ] + self::SEA)->assertSessionHasNoErrors();
        $kept = $row->refresh()->lookup();
        self::assertTrue($kept->headers[0]->isSecret);
        self::assertSame(15, $kept->keep->ahead);
    }

    public function test_a_secret_header_is_kept_encrypted_and_goes_to_its_host_alone(): void
    {
        $harbour = HarbourProcess::startNear(26985);
        try {
            config(['air.harbour' => "127.0.0.1:{$harbour->details}"]);
            $crew = [
                'name' => 'hands',
                'address' => 'https://'.WebClient::HARBOUR.'/crew/{who}',
                'parameters' => [['name' => 'who', 'sample' => 'odo', 'may' => '', 'default' => 'odo']],
                'readings' => [['name' => 'planks', 'path' => 'planks', 'type' => 'number']],
                'headers' => [['name' => 'X-Yard-Key', 'value' => Sources::KEY, 'secret' => '1']],
            ] + self::SEA;
            $this->post(route('remember.lookups.store', $this->cove), $crew)->assertSessionHasNoErrors();
            $row = $this->cove->lookups()->where('stable_id', 'hands')->firstOrFail();
            self::assertStringNotContainsString(Sources::KEY, (string) json_encode($row->getAttributes()));
            $this->get(route('remember.lookups', [$this->cove, 'edit' => 'hands']))->assertDontSee(Sources::KEY);
            $this->get(route('write.pack.export', $this->cove))
                ->assertDontSee(Sources::KEY)
                ->assertSee('"secret": true', false);
            foreach (['definition_changes', 'recorded_answers'] as $table) {
                self::assertStringNotContainsString(Sources::KEY, DB::table($table)->get()->toJson());
            }
            // Saved again without typing it, it is still there.
            $again = ['headers' => [['name' => 'X-Yard-Key', 'value' => '']], 'stable' => 'hands'] + $crew;
            $this->put(route('remember.lookups.update', [$this->cove, 'hands']), $again)->assertSessionHasNoErrors();
            $this->post(route('remember.lookups.ask', $this->cove), $again)
                ->assertSee('Status 200')
                ->assertSee('Bosun');
            // Another address: it was not given for that one.
            $web = WebLookups::of(DB::connection(), $this->cove->id, new WebClient("127.0.0.1:{$harbour->details}"));
            $secrets = app(Secrets::class);
            self::assertSame([], $secrets->of($this->cove->id, 'hands', ['X-Yard-Key'], 'elsewhere.org'));
            self::assertSame(
                ['X-Yard-Key' => Sources::KEY],
                $secrets->of($this->cove->id, 'hands', ['X-Yard-Key'], WebClient::HARBOUR),
            );
            $none = $row->refresh()->lookup();
            $row->update(['secrets' => null]);
            $answer = $web->askNow($none, ['who' => 'odo'], new TimeoutCancellation(2));
            self::assertSame(401, $answer instanceof Answer ? $answer->status : 0);
        } finally {
            $harbour->end();
        }
    }

    public function test_a_secret_in_the_address_is_sent_and_seen_nowhere(): void
    {
        $harbour = HarbourProcess::startNear(27040);
        try {
            config(['air.harbour' => "127.0.0.1:{$harbour->details}"]);
            $typed = [
                'name' => 'hands',
                'address' => 'https://'.WebClient::HARBOUR.'/crew/{who}{?key}',
                'parameters' => [
                    ['name' => 'who', 'sample' => 'odo', 'default' => 'odo'],
                    ['name' => 'key', 'sample' => Sources::KEY, 'secret' => '1', 'default' => 'x'],
                ],
                'readings' => [['name' => 'rank', 'path' => 'rank', 'type' => 'text']],
            ] + self::SEA;
            // Typed and not saved yet, it is sent all the same; the source says it again, and nobody reads it there.
            $this->post(route('remember.lookups.ask', $this->cove), $typed)
                ->assertSee('Bosun')
                ->assertSee('asked_with')
                ->assertDontSee(Sources::KEY);
            // Where something else is refused, it is not kept with what was typed.
            $refused = ['name' => 'tide'] + $typed;
            $this->post(route('remember.lookups.store', $this->cove), $refused)->assertSessionHasErrors('name');
            $old = (string) json_encode(session()->getOldInput());
            self::assertStringContainsString('{?key}', $old);
            self::assertStringNotContainsString(Sources::KEY, $old);
            $this->post(route('remember.lookups.store', $this->cove), $typed)->assertSessionHasNoErrors();
            $lookup = $this->cove->lookups()->where('stable_id', 'hands')->firstOrFail()->lookup();
            $page = $this->get(route('remember.lookups', [$this->cove, 'edit' => 'hands']));
            $page->assertDontSee(Sources::KEY)->assertSee('placeholder="kept"', false);
            $blank = ['stable' => 'hands', 'parameters' => [
                ['name' => 'who', 'sample' => 'odo', 'default' => 'odo'],
                ['name' => 'key', 'sample' => '', 'secret' => '1'],
            ]] + $typed;
            $this->put(route('remember.lookups.update', [$this->cove, 'hands']), $blank)->assertSessionHasNoErrors();
            $this->post(route('remember.lookups.ask', $this->cove), $blank)->assertSee('Bosun');
            self::assertSame(
                'https://'.WebClient::HARBOUR.'/crew/odo?key=•••',
                $lookup->addressShown(['who' => 'odo', 'key' => 'said']),
            );
            $said = Say::on('!hands', '[lookup.hands.rank] [lookup.hands.rank key="x"]');
            $finds = array_filter(
                Checks::ofCommand($said, app(Assembler::class)->pack($this->cove), Assembler::environment($this->cove)),
                static fn (Finding $one): bool => $one->kind === SyntaxErrorCode::UnknownArgument,
            );
            self::assertCount(1, $finds, 'no response says it');
            $this->get(route('write.pack.export', $this->cove))->assertDontSee(Sources::KEY);
            foreach (['definition_changes', 'recorded_answers', 'web_answers', 'lookups', 'web_hosts'] as $table) {
                self::assertStringNotContainsString(Sources::KEY, DB::table($table)->get()->toJson(), $table);
            }
            // To another host it does not go.
            $elsewhere = ['address' => 'https://elsewhere.org/{who}{?key}'] + $blank;
            $this->put(route('remember.lookups.update', [$this->cove, 'hands']), $elsewhere);
            self::assertSame([], app(Secrets::class)->of($this->cove->id, 'hands', ['?key'], 'elsewhere.org'));
        } finally {
            $harbour->end();
        }
    }

    public function test_of_several_that_are_found_one_is_chosen_and_kept_where_one_wants_it(): void
    {
        $harbour = HarbourProcess::startNear(27000);
        try {
            config(['air.harbour' => "127.0.0.1:{$harbour->details}"]);
            $find = fn (array $more) => $this->post(route('remember.lookups.candidates', $this->cove), $more + [
                'of' => 'port',
                'stable' => '',
                'parameters' => [['name' => 'port', 'from' => 'lookup.ports.number', 'sample' => '17']],
            ] + self::SEA)->assertOk();
            $find([])->assertSee('Which one for port?')->assertDontSee('Use this one');
            $find(['other' => ['name' => 'porth']])
                ->assertSeeInOrder(['17', 'Porth', 'north', 'Use this one', '18', 'Porth Wen', 'Use this one']);
            $find(['other' => ['name' => 'nowhere']])->assertSee('Nothing was found that has a value there.');
            // On a page too, with what heads each column.
            $find([
                'parameters' => [['name' => 'port', 'from' => 'lookup.shop.lantern', 'sample' => '17']],
                'other' => ['x' => ''],
            ])->assertSeeInOrder(['€ 42,50', 'Goods', 'Brass lantern', '€ 3,20', 'Rope, a fathom']);
            // Other values go by the names as they are written.
            $this->post(route('remember.lookups.ask', $this->cove), [
                'address' => 'https://'.WebClient::HARBOUR.'/tides/{Port}',
                'parameters' => [['name' => 'Port', 'sample' => '17']],
                'other' => ['Port' => '23'],
            ] + self::SEA)->assertSee('Tregarn')->assertDontSee('Porth');
            $find(['of' => 'depth'])->assertSee('Say first which reading it comes from.');
            $keep = fn (array $typed) => $this->post(
                route('remember.lookups.candidates.keep', $this->cove),
                $typed + ['of' => 'port', 'value' => '18'],
            )->assertOk();
            $keep(['where' => 'fact', 'fact' => 'a b'])->assertSee('Give the fact a name');
            $keep(['where' => 'fact', 'fact' => 'home_port'])->assertSee('data-from="fact.home_port"', false);
            self::assertSame('18', $this->cove->facts()->where('name', 'home_port')->firstOrFail()->text);
            // What is there already is not changed from here, unless the parameter comes from it.
            $again = ['where' => 'fact', 'fact' => 'HOME_PORT', 'value' => '17'];
            $keep($again)->assertSee('fact.home_port is there already');
            self::assertSame('18', $this->cove->facts()->where('name', 'home_port')->firstOrFail()->text);
            $from = [['name' => 'port', 'from' => 'fact.home_port']];
            $keep($again + ['stable' => '', 'parameters' => $from] + self::SEA)->assertSee('fact.home_port holds 17');
            self::assertSame('17', $this->cove->facts()->where('name', 'home_port')->firstOrFail()->text);
            $field = ['where' => 'field', 'field' => 'boat', 'value' => 'Wen'];
            $keep($field + ['login' => 'nobody_here'])->assertSee('Nobody of that login was here yet.');
            $keep($field + ['login' => '@Quill'])->assertSee('data-from="caller.boat"', false);
            $quill = DB::table('viewers')->where('channel_id', $this->cove->id)->where('login', 'quill')->first();
            $key = Key::field('boat', Viewers::personId((string) $quill?->service, (string) $quill?->service_id));
            self::assertSame('Wen', $this->remembered($key));
            $keep(['where' => 'field', 'field' => 'pebbles', 'login' => 'quill'])->assertSee('Choose a field');
            $this->cove->fields()->where('name', 'boat')->update(['not_by_hand' => true]);
            $keep($field + ['login' => 'quill'])->assertSee('boat is set by responses alone.');
            $this->cove->fields()->where('name', 'boat')->update(['not_by_hand' => false, 'longest' => 2]);
            $keep($field + ['login' => 'quill'])->assertSee('boat does not hold so long a text.');
        } finally {
            $harbour->end();
        }
    }

    public function test_a_source_is_asked_once_the_streamer_allowed_it_and_its_answer_can_be_rehearsed(): void
    {
        $harbour = HarbourProcess::startNear(26980);
        try {
            config(['air.harbour' => "127.0.0.1:{$harbour->details}"]);
            $ask = fn (): string => (string) $this->post(route('remember.lookups.ask', $this->cove), self::SEA)
                ->assertOk()
                ->getContent();
            DB::table('allowed_hosts')->delete();
            self::assertStringContainsString('was never allowed, so nobody asked it', $ask());
            $host = ['host' => WebClient::HARBOUR];
            $this->actingAs($this->member('Ilse', Role::Author));
            $this->post(route('remember.lookups.allow', $this->cove), $host)->assertForbidden();
            $this->actingAs($this->wren);
            $this->post(route('remember.lookups.allow', $this->cove), $host)
                ->assertSessionHas('notice', 'sources.harbour.example can be asked now.');
            $this->post(route('remember.lookups.allow', $this->cove), ['host' => '127.0.0.1'])
                ->assertSessionHas('notice', 'That host cannot be asked.');
            $shown = $ask();
            self::assertStringContainsString('Status 200', $shown);
            self::assertStringContainsString('<b>Porth</b>', $shown);
            self::assertStringContainsString('data-path="port.name"', $shown);
            // Another path, into what came back.
            $tried = ['readings' => [['name' => 'number', 'path' => 'port.id', 'type' => 'number']]] + self::SEA;
            $this->post(route('remember.lookups.try', $this->cove), $tried)->assertSee('<b>17</b>', false);
            // The demo's own, in a rehearsal: not until it was asked, and then as it was answered.
            $edit = route('remember.lookups', [$this->cove, 'edit' => 'shop']);
            $try = fn (): string => (string) $this->post(route('rehearse.try', $this->cove), [
                'do' => 'say',
                'line' => '!price',
                'speaker' => 'tamsin',
            ])->assertOk()->getContent();
            self::assertStringContainsString('The look-up shop has no answer', html_entity_decode($try()));
            $lookup = $this->cove->lookups()->where('stable_id', 'shop')->firstOrFail()->lookup();
            $this->post(route('remember.lookups.ask', $this->cove), [
                'stable' => 'shop',
                'name' => 'shop',
                'address' => $lookup->address->text,
                'format' => 'html',
                'readings' => [['name' => 'lantern', 'path' => 'td.price', 'type' => 'number']],
            ])->assertSee('42,50');
            self::assertStringContainsString('A brass lantern is 42.5 €', $try());
            $this->get($edit)->assertSee('What came back')->assertSee('Asked twice');
            $this->delete(route('remember.lookups.forbid', $this->cove), $host)->assertRedirect();
            self::assertStringContainsString('was never allowed', $ask());
        } finally {
            $harbour->end();
        }
    }
}
