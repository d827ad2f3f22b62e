<?php

declare(strict_types=1);

namespace Tests\Feature\Web;

use App\Air\AskedAhead;
use App\Models\FetchedAnswer;
use App\Models\LookupRow;
use App\Publish\Editions;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\MariaDbStore;
use App\Web\HostHealth;
use App\Web\Hosts;
use App\Web\KeptAnswers;
use App\Web\RecordedAnswers;
use App\Web\WebClient;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;
use Revolt\EventLoop;
use SilverParrot\Document\Document;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\StreamBegan;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Keep;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Memory\Change;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Value\Moment;
use Tests\Air\HarbourProcess;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** Look-ups on the air: the harbour's tame sources are asked, kept, and left alone. */
final class WebLookupsTest extends TestCase
{
    private HarbourProcess $harbour;

    private OnAir $on;

    protected function setUp(): void
    {
        parent::setUp();
        $this->harbour = HarbourProcess::startNear(26960);
        $source = 'https://'.WebClient::HARBOUR;
        foreach (
            [
                ['name' => 'find', 'address' => "$source/ports{?name}", 'parameters' => [
                    ['name' => 'name', 'from' => 'words', 'default' => 'porth'],
                ], 'readings' => [['name' => 'number', 'path' => 'ports[0].id', 'type' => 'number']]],
                ['name' => 'tides', 'address' => "$source/tides/{port}", 'parameters' => [
                    ['name' => 'port', 'number' => ['least' => 1, 'most' => 99], 'from' => 'lookup.find.number'],
                ], 'readings' => [
                    ['name' => 'where', 'path' => 'port.name'],
                    ['name' => 'high', 'path' => "tides[?kind=='high'].at | [0]", 'type' => 'moment'],
                    ['name' => 'metres', 'path' => "tides[?kind=='high'].metres | [0]", 'type' => 'number'],
                    ['name' => 'colour', 'path' => 'colour'],
                ], 'keep' => ['least' => 60, 'stale' => 600]],
                ['name' => 'price', 'address' => "$source/shop", 'format' => 'html', 'readings' => [[
                    'name' => 'lantern',
                    'path' => 'tr[data-id=lantern] .price',
                    'type' => 'number',
                    'unit' => '€',
                    'decimal_sign' => ',',
                    'noted' => true,
                ]], 'keep' => ['least' => 3_600, 'ahead' => 15]],
                ['name' => 'never', 'address' => "$source/word", 'format' => 'text', 'readings' => [
                    ['name' => 'word', 'path' => 'between "word: " and "\n"'],
                ], 'keep' => ['least' => 0, 'most' => 0, 'stale' => 0]],
                ['name' => 'elsewhere', 'address' => 'https://elsewhere.org/', 'readings' => [
                    ['name' => 'x', 'path' => 'x'],
                ]],
            ] as $document
        ) {
            $this->cove->lookups()->create(LookupRow::columns(LookupFormat::read(Document::of($document))));
        }
        DB::table('allowed_hosts')->insert([
            'channel_id' => $this->cove->id,
            'host' => WebClient::HARBOUR,
            'allowed_at' => now(),
        ]);
        foreach (
            [
                '!water' => '[lookup.tides.where]: [lookup.tides.metres] m at [lookup.tides.high | date "HH:mm"].',
                '!lantern' => 'A lantern is [lookup.price.lantern] €.',
                '!since' => '[when lookup.tides.age < "1 minute"]Just asked.[else]Old.[end]',
                '!gap' => '[lookup.tides.colour or "no colour"]',
                '!upby' => 'From [lookup.price.lantern.at_start], [lookup.price.lantern.gained or "nobody knows"] up.',
                '!word' => '[lookup.never.word]',
                '!far' => '[lookup.elsewhere.x or "not there"] [lookup.elsewhere.x]',
            ] as $trigger => $text
        ) {
            $command = Say::on($trigger, $text)->gated(Cooldown::none())->failing('[outcome.reason]');
            app(CommandRepository::class)->save($this->cove, null, $command, $this->wren, null);
        }
        $this->cove->update(['flood_person' => 0, 'flood_channel' => 0]);
        app(Editions::class)->publish($this->cove->refresh(), '', $this->wren);
        $this->talkAnew();
    }

    protected function tearDown(): void
    {
        $this->harbour->end();
        parent::tearDown();
    }

    public function test_the_port_is_found_its_tide_is_told_and_equal_questions_are_asked_once(): void
    {
        self::assertMatchesRegularExpression('/^Porth: 4\.\d m at \d\d:\d\d\.$/', $this->said('!water porth'));
        self::assertMatchesRegularExpression('/^Tregarn: \d(\.\d)? m at \d\d:\d\d\.$/', $this->said('!water Treg'));
        self::assertSame('A lantern is 42.5 €.', $this->said('!lantern'));
        self::assertSame('no colour', $this->said('!gap porth'));
        $told = fn (): string => (string) DB::table('heard_lines')->orderByDesc('number')->value('readings');
        self::assertMatchesRegularExpression('/origin of lookup.find.number[^:]+":"asked \d+ \d+ 17"/', $told());
        $asked = $this->asked();
        self::assertSame([2, 2, 1], [$asked['ports'], $asked['tides'], $asked['shop']]);
        self::assertSame('Just asked.', $this->said('!since porth'));
        self::assertSame('There is no port to look it up with.', $this->said('!water nowhere'));
        self::assertSame(2, $this->asked()['tides']);
    }

    public function test_while_the_source_is_down_what_was_kept_serves_and_else_the_reason_is_told(): void
    {
        $first = $this->said('!water porth');
        $this->talkAnew();
        self::assertSame($first, $this->said('!water porth'));
        self::assertSame(1, $this->asked()['tides']);
        DB::table('web_answers')->update(['fresh_until' => now()->subMinute()]);
        $this->talkAnew();
        $this->trouble('tides', 'refused');
        self::assertSame($first, $this->said('!water porth'), 'for a while longer');
        DB::table('web_answers')->delete();
        foreach (
            [
                'error_page' => 'was answered with a web page instead of JSON',
                'broken' => 'was answered with broken JSON',
                'missing' => 'answer has no where',
                'too_large' => 'is too large',
                'moved' => 'was sent on to another address',
            ] as $kind => $reason
        ) {
            DB::table('web_hosts')->delete();
            DB::table('web_answers')->delete();
            $this->talkAnew();
            $this->trouble('tides', $kind);
            self::assertStringContainsString($reason, $this->said('!water porth'), $kind);
        }
    }

    public function test_a_stream_is_counted_from_what_its_source_said_when_it_began(): void
    {
        self::assertSame('From , nobody knows up.', $this->said('!upby'));
        $this->begin(3);
        self::assertSame('From 42.5, 0 up.', $this->said('!upby'));
        self::assertSame(425_000, DB::table('noted_numbers')->where('what', 'reading price lantern')->value('number'));
        DB::table('noted_numbers')->where('what', 'reading price lantern')->update(['number' => 401_250]);
        $this->begin(3);
        self::assertSame('From 40.125, 2.375 up.', $this->said('!upby'), 'the same stream begins once');
        // What a source that is down cannot say is not counted from what it said of another stream.
        $pack = app(Assembler::class)->pack($this->cove);
        $memory = (new MariaDbStore(DB::connection(), $this->cove->id))->snapshot(NotedNumbers::reads($pack));
        $cleared = array_values(array_filter(
            NotedNumbers::note($pack, [], $memory, ['number' => 4], ''),
            static fn (Change $one): bool => $one->to === null,
        ));
        self::assertSame(['reading price lantern'], array_map(static fn ($one) => $one->key->name, $cleared));
    }

    public function test_what_is_never_kept_is_asked_each_time_and_said(): void
    {
        self::assertMatchesRegularExpression('/^\w+$/', $this->said('!word'));
        self::assertMatchesRegularExpression('/^\w+$/', $this->said('!word'));
        self::assertSame(2, $this->asked()['word']);
    }

    public function test_while_live_it_is_asked_before_anybody_needs_it(): void
    {
        $look = fn () => (new AskedAhead)->look($this->on->air);
        $look();
        self::assertArrayNotHasKey('shop', $this->asked());
        $this->on->air->keptDetails = ['live' => true];
        $look();
        $look();
        self::assertSame(1, $this->asked()['shop']);
        self::assertSame('A lantern is 42.5 €.', $this->said('!lantern'));
        self::assertSame(1, $this->asked()['shop']);
        $this->travel(16)->minutes();
        $look();
        self::assertSame(2, $this->asked()['shop'], 'before an hour is over, for which it is kept');
    }

    public function test_what_another_process_asks_just_now_is_waited_for(): void
    {
        $key = hash('sha256', "price\nhttps://".WebClient::HARBOUR.'/shop');
        $other = new PDO(
            sprintf('mysql:host=127.0.0.1;port=%s', config('database.connections.mariadb.port')),
            config()->string('database.connections.mariadb.username'),
            config()->string('database.connections.mariadb.password'),
        );
        $lock = 'web '.hash('xxh128', "{$this->cove->id} $key");
        self::assertEquals(1, $other->query("SELECT GET_LOCK('$lock', 0)")->fetchColumn());
        $body = '<table><tr data-id="lantern"><td class="price">€ 7</td></tr></table>';
        $arrived = EventLoop::delay(0.2, function () use ($key, $body, $other, $lock): void {
            $answer = new Answer(200, ['content-type' => 'text/html'], $body, Moment::of(now()));
            (new KeptAnswers(DB::connection()))->keep($this->cove->id, $key, $answer, new Keep(60));
            $other->query("SELECT RELEASE_LOCK('$lock')");
        });
        self::assertSame('A lantern is 7 €.', $this->said('!lantern'));
        EventLoop::cancel($arrived);
        self::assertArrayNotHasKey('shop', $this->asked());
        self::assertEquals(1, DB::scalar("SELECT IS_FREE_LOCK('$lock')"), 'and nobody keeps it');
        // Of one that never lets go, nobody waits longer than for a source.
        $other->query("SELECT GET_LOCK('$lock', 0)");
        DB::table('web_answers')->delete();
        $this->talkAnew();
        self::assertStringContainsString('was not answered in time', $this->said('!lantern'));
    }

    public function test_who_is_not_allowed_is_not_asked_and_who_fails_or_was_asked_enough_is_left_alone(): void
    {
        self::assertSame('The streamer has not allowed the look-up elsewhere yet.', $this->said('!far'));
        $hosts = new Hosts(DB::connection());
        $now = Moment::fromIso('2026-11-30T10:00:00Z') ?? new Moment(0);
        $take = fn (int $seconds): ?Trouble => $hosts->take(
            $this->cove->id,
            'a.org',
            $now->plusMillis($seconds * 1_000),
        );
        for ($times = 0; $times < Hosts::A_MINUTE; $times++) {
            self::assertNull($take($times));
        }
        self::assertSame(Trouble::OverBudget, $take(11));
        self::assertNull($take(61), 'a minute later');
        $fail = fn (int $seconds) => $hosts->told(
            $this->cove->id,
            'a.org',
            Trouble::Timeout,
            $now->plusMillis($seconds * 1_000),
        );
        array_map($fail, [62, 63]);
        self::assertNull($take(64));
        $fail(64);
        self::assertSame(Trouble::LeftAlone, $take(65));
        self::assertNull($take(95), 'half a minute later, one trial');
        self::assertSame(Trouble::LeftAlone, $take(96), 'one at a time');
        $fail(97);
        self::assertSame(Trouble::LeftAlone, $take(150), 'longer, the second time');
        self::assertNull($take(160));
        $hosts->told($this->cove->id, 'a.org', new Answer(200, [], '', $now), $now->plusMillis(160_000));
        self::assertNull($take(161));
        $busy = new Answer(429, ['retry-after' => '120'], '', $now);
        $hosts->told($this->cove->id, 'a.org', $busy, $now->plusMillis(161_000));
        self::assertSame(Trouble::LeftAlone, $take(280));
        self::assertNull($take(282));
        // A moment is said as well as seconds (RFC 9110, 10.2.3).
        $until = new Answer(503, ['retry-after' => 'Mon, 30 Nov 2026 11:00:00 GMT'], '', $now);
        $hosts->told($this->cove->id, 'a.org', $until, $now->plusMillis(283_000));
        self::assertSame(Trouble::LeftAlone, $take(3_880));
        self::assertNull($take(3_884));
        $told = HostHealth::of((string) DB::table('web_hosts')->where('host', 'a.org')->value('last'));
        self::assertSame('status 503 once, status 429 once, timeout 4 times', $told->failuresInWords());
        self::assertSame(['503', '429', '200'], array_slice(array_column($told->last, 1), 0, 3));
    }

    private function begin(int $stream): void
    {
        $this->on->air->happens(new StreamBegan("stream $stream", Moment::of(now())));
    }

    /** Another talker, with nothing at hand but what the database keeps. */
    private function talkAnew(): void
    {
        foreach (['heard_events', 'outgoing', 'heard_lines'] as $table) {
            DB::table($table)->delete();
        }
        $this->on = OnAir::of($this->cove, new WebClient("127.0.0.1:{$this->harbour->details}"));
    }

    private function said(string $line): string
    {
        $this->on->hear('odo', $line);

        return (string) DB::table('outgoing')->where('channel_id', $this->cove->id)->orderByDesc('id')->value('text');
    }

    public function test_whatever_people_ask_for_only_so_much_is_kept(): void
    {
        $kept = new KeptAnswers(DB::connection());
        $recorded = new RecordedAnswers(DB::connection());
        $lookup = $this->cove->lookups()->where('stable_id', 'find')->firstOrFail()->lookup();
        $answer = new Answer(200, ['content-type' => 'application/json'], '{}', Moment::of(now()));
        for ($number = 0; $number < KeptAnswers::MOST + 5; $number++) {
            $kept->keep($this->cove->id, hash('sha256', (string) $number), $answer, $lookup->keep);
            $recorded->keep($this->cove->id, $lookup, ['name' => "word $number"], $answer);
        }
        $count = fn (string $table): int => DB::table($table)->where('channel_id', $this->cove->id)->count();
        self::assertSame(KeptAnswers::MOST, $count('web_answers'));
        self::assertSame(RecordedAnswers::MOST_OF_ONE, $count('recorded_answers'));
        $this->travel(2)->hours();
        Artisan::call('model:prune', ['--model' => [FetchedAnswer::class]]);
        self::assertSame(0, $count('web_answers'));
    }

    private function trouble(string $source, string $kind): void
    {
        $this->harbour->post('/sources/troubles', ['source' => $source, 'kind' => $kind, 'seconds' => 60]);
    }

    /** @return array<string, int> */
    private function asked(): array
    {
        /** @var array<string, int> $asked */
        $asked = json_decode($this->harbour->ask('/sources/asked'), true);

        return $asked;
    }
}
