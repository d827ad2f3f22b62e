<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Storage\Assembler;
use App\Storage\MemoryRows;
use App\Web\RecordedAnswers;
use App\Web\WebClient;
use App\Wording\Sentences;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;
use Tests\Feature\TestCase;

/** What look-ups are rehearsed with: the last real answers, those that were written, and troubles. */
final class CannedResultsTest extends TestCase
{
    private const SOUND = '{"port":{"name":"Tregarn"},"tides":[{"kind":"high","at":"2026-11-30T12:00:00Z",'
        .'"metres":4.1}]}';

    private RecordedAnswers $recorded;

    private Lookup $tide;

    private string $why = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
        $this->recorded = new RecordedAnswers(DB::connection());
        $this->tide = $this->cove->lookups()->where('stable_id', 'tide')->firstOrFail()->lookup();
        $this->record('23', self::SOUND);
    }

    public function test_one_is_kept_under_a_name_edited_chosen_and_thrown_away(): void
    {
        self::assertSame('Tregarn 4.1 m', $this->said('23'));
        $real = $this->idOf('');
        $this->canned($real, ['canned_name' => ' '])->assertSee('Give it a name.')->assertSee('spring tide');
        $this->canned($real, ['canned_status' => '99'])->assertSee('A status is between 100 and 599.');
        $this->canned($real, ['canned_body' => str_repeat('x', RecordedAnswers::LARGEST + 1)])->assertSee('Shorten it');
        self::assertSame('Tregarn 4.1 m', $this->said('23'));

        $this->canned($real, ['canned_body' => str_replace('4.1', '6.3', self::SOUND)])->assertSee('“spring”');
        self::assertSame('Tregarn 6.3 m', $this->said('23'));
        self::assertStringContainsString(
            'lookup.tide.metres asked https://sources.harbour.example/tides/23 (canned, “spring”): '
                ."tides[?kind=='high'] | [0].metres is “6.3”",
            $this->why,
        );
        // A new real answer does not take the place of what was chosen.
        $this->record('23', str_replace('4.1', '4.2', self::SOUND));
        self::assertSame('Tregarn 6.3 m', $this->said('23'));
        $this->post(route('remember.lookups.see', $this->cove), ['id' => $this->idOf('spring')] + $this->tideFields())
            ->assertSee('6.3');
        $this->post(route('remember.lookups.choose', [$this->cove, 'tide']), ['id' => $real] + $this->tideFields());
        self::assertSame('Tregarn 4.2 m', $this->said('23'));

        $named = $this->idOf('spring');
        $this->canned($named, ['canned_name' => 'fog', 'canned_how' => 'timeout']);
        self::assertSame(['', 'fog'], $this->names());
        self::assertStringContainsString('was not answered in time', $this->said('23'));
        $this->post(route('remember.lookups.drop', [$this->cove, 'tide']), ['id' => $this->idOf('fog')]
            + $this->tideFields());
        self::assertSame('Tregarn 4.2 m', $this->said('23'));
    }

    public function test_a_source_is_slow_or_in_trouble_in_rehearsals_and_nowhere_else(): void
    {
        $how = fn (string $how, string $slow = '') => $this->post(
            route('remember.lookups.rehearse', [$this->cove, 'tide']),
            ['how' => $how, 'slow' => $slow] + $this->tideFields(),
        )->assertOk();
        $how('slow', '2');
        self::assertSame('Tregarn 4.1 m', $this->said('23'), 'within the deadline');
        $how('slow', '9');
        self::assertStringContainsString('was not answered in time', $this->said('23'));
        $how('error_page')->assertSee('gets what the source really says');
        self::assertStringContainsString('a web page instead of JSON', $this->said('23'));
        $how('left_alone');
        self::assertSame('Tregarn 4.1 m', $this->said('23'), 'no trouble that anybody can cause');
        self::assertStringNotContainsString('rehearsed', (string) $this->get(
            route('write.pack.export', $this->cove),
        )->getContent());
    }

    public function test_answers_stand_beside_each_other_read_as_the_fields_have_it(): void
    {
        $this->record('31', str_replace('Tregarn', 'Lantern Cove', self::SOUND));
        $fields = ['readings' => [
            ['name' => 'where', 'path' => 'port.name', 'type' => 'text'],
            ['name' => 'kind', 'path' => 'tides[0].kind', 'type' => 'text'],
            ['name' => 'odd', 'path' => 'tides[', 'type' => 'text'],
        ]] + $this->tideFields();
        $this->post(route('remember.lookups.try', $this->cove), $fields)
            ->assertSeeInOrder(['cannot be read as a path', '31', 'Lantern Cove', 'high', '23', 'Tregarn', 'high']);
    }

    public function test_what_was_too_large_keeps_its_readings_and_what_a_draft_recorded_becomes_its_own(): void
    {
        $large = new Answer(200, [], '{"port":{"name":"Tregarn"},"x":"'.str_repeat('x', 70_000).'"}', $this->now());
        $this->recorded->keep($this->cove->id, $this->tide, ['port' => '40'], $large);
        self::assertStringNotContainsString('Tregarn', $this->said('40'));
        $this->recorded->keep($this->cove->id, $this->tide, ['port' => '40'], $large, new ReadAnswer([
            'port' => 'Tregarn', 'metres' => 5,
        ]));
        self::assertSame('Tregarn 5 m', $this->said('40'));

        $draft = str_repeat('a', 26);
        $of = fn (string $id): int => DB::table('recorded_answers')->where('lookup', $id)->count();
        $this->recorded->keep(
            $this->cove->id,
            $this->tide->withId(RecordedAnswers::DRAFT.$draft),
            ['port' => '17'],
            new Answer(200, [], self::SOUND, $this->now()),
        );
        self::assertSame(1, $of(RecordedAnswers::DRAFT.$draft));
        $sea = ['draft' => $draft, 'name' => 'sea', 'stable' => ''] + $this->tideFields();
        $this->post(route('remember.lookups.store', $this->cove), $sea)->assertSessionHasNoErrors();
        self::assertSame([0, 1], [$of(RecordedAnswers::DRAFT.$draft), $of('sea')]);
        $this->get(route('remember.lookups', [$this->cove, 'edit' => 'sea']))->assertSee('What came back');
    }

    public function test_nobody_else_sees_or_changes_them(): void
    {
        $pia = $this->person('Pia');
        $far = $this->harbour($pia);
        $this->actingAs($pia);
        $ids = ['id' => $this->idOf('')] + $this->tideFields();
        foreach (['canned', 'choose', 'drop', 'rehearse', 'copy'] as $route) {
            $this->post(route("remember.lookups.$route", [$this->cove, 'tide']), $ids)->assertNotFound();
        }
        $this->post(route('remember.lookups.see', $far), $ids)->assertNotFound();
        self::assertSame([''], $this->names());
    }

    private function record(string $port, string $body): void
    {
        $this->recorded->keep(
            $this->cove->id,
            $this->tide,
            ['port' => $port],
            new Answer(200, ['content-type' => 'application/json'], $body, $this->now()),
        );
    }

    /**
     * @param  array<string, string>  $typed
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function canned(int $of, array $typed): TestResponse
    {
        return $this->post(route('remember.lookups.canned', [$this->cove, 'tide']), ['id' => $of] + $typed + [
            'canned_name' => 'spring',
            'canned_how' => 'answers',
            'canned_status' => '200',
            'canned_body' => self::SOUND,
        ] + $this->tideFields())->assertOk();
    }

    /** @return array<string, mixed> the look-up’s own, as its form has them */
    private function tideFields(): array
    {
        return [
            'stable' => 'tide',
            'name' => 'tide',
            'address' => 'https://'.WebClient::HARBOUR.'/tides/{port}',
            'format' => 'json',
            'parameters' => [['name' => 'port', 'may' => '1 to 99', 'sample' => '23']],
            'readings' => [
                ['name' => 'port', 'path' => 'port.name', 'type' => 'text'],
                ['name' => 'metres', 'path' => 'tides[0].metres', 'type' => 'number', 'decimals' => '1'],
            ],
        ];
    }

    private function said(string $port): string
    {
        $pack = app(Assembler::class)->pack($this->cove)->withCommand(Say::on(
            '!sea',
            '[lookup.tide.port port=words] [lookup.tide.metres port=words] m',
        ));
        $rehearsal = new Rehearsal($pack, (new MemoryRows)->copy($this->cove), 'seed', $this->cove->profile());
        $this->why = '';
        $outcome = $rehearsal->line(
            'one',
            Person::known('1', 'odo', 'Odo', Levels::of()),
            "!sea $port",
            $this->now(),
        );

        foreach ($outcome->trace?->entries() ?? [] as $entry) {
            $this->why .= app(Sentences::class)->of($entry->message())."\n";
        }

        return implode($outcome->texts())
            .($outcome->failed === null ? '' : app(Sentences::class)->of($outcome->failed->message()));
    }

    private function idOf(string $name): int
    {
        $id = DB::table('recorded_answers')->where('lookup', 'tide')->where('name', $name)->value('id');

        return is_int($id) ? $id : 0;
    }

    /** @return list<mixed> */
    private function names(): array
    {
        return DB::table('recorded_answers')->where('lookup', 'tide')->orderBy('name')->pluck('name')->all();
    }

    private function now(): Moment
    {
        return Moment::of(now());
    }
}
