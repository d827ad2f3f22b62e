<?php

declare(strict_types=1);

namespace Tests\Feature\Publish;

use App\Accounts\Role;
use App\Air\ConnectionState;
use App\Air\Log;
use App\Air\LogEntry;
use App\Air\Streams\Token;
use App\Models\LoggedLine;
use App\Publish\ConnectionHealth;
use App\Publish\Editions;
use App\Storage\MariaDbStore;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Testing\TestResponse;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

final class ChatTest extends TestCase
{
    private OnAir $onAir;

    protected function setUp(): void
    {
        parent::setUp();
        Http::fake([
            '*/people' => Http::response([
                'people' => [['login' => 'odo', 'name' => 'Odo', 'levels' => ['follower', 'vip']]],
                'here' => [],
                'pace' => 12,
                'troubles' => ['slow' => 7],
            ]),
            '*/channels/lantern_cove' => Http::response([
                'title' => 'Planking',
                'category' => 'Rigging',
                'categories' => ['Planking', 'Rigging'],
                'live' => true,
            ]),
            '*' => Http::response(['done' => true]),
        ]);
        app(Editions::class)->publish($this->cove, 'one', $this->wren);
        $this->onAir = OnAir::of($this->cove);
        $this->wren->forceFill(['is_operator' => true])->save();
        $this->actingAs($this->wren);
    }

    public function test_each_line_stands_there_with_its_why_as_it_was_then(): void
    {
        $number = $this->onAir->hear('pia', '!knot');
        $silent = $this->onAir->hear('odo', 'good evening');
        $said = $this->said('!knot');
        // Memory goes on, and so does the pack; the line's why does not.
        (new MariaDbStore(DB::connection(), $this->cove->id))->turn(
            EventKey::event('later'),
            Reads::of(),
            static fn (): Tally => new Tally([
                new Change(
                    Key::listPosition('knots'),
                    null,
                    ['of' => 'x', 'last' => 0, 'left' => [0]],
                    'list',
                    'channel',
                ),
            ]),
        );
        $this->delete(route('write.drop', [$this->cove, $this->command('!knot')]));
        app(Editions::class)->publish($this->cove, 'two', $this->wren);

        $this->get(route('publish.chat', $this->cove))
            ->assertOk()
            ->assertSeeInOrder(['Pia', '!knot', 'Odo', 'good evening', 'Odo, VIP', 'For 7 s more']);
        $this->get(route('publish.why', [$this->cove, $number]))
            ->assertOk()
            ->assertSee($said)
            ->assertSee('!knot was triggered')
            ->assertSee('edition 1');
        $this->get(route('publish.why', [$this->cove, $silent]))->assertOk()->assertSee('begins with no trigger');
        $this->get(route('publish.why', [$this->cove, 999]))->assertNotFound()->assertSee('its time is over');
        $this->get(route('publish.chat', ['channel' => $this->cove, 'line' => $number]))->assertSee($said);
    }

    public function test_the_why_of_a_silenced_line_is_that_it_was_silenced_afterwards_too(): void
    {
        $this->onAir->air->paused = true;
        $number = $this->onAir->hear('pia', '!knot');
        $this->onAir->hear('pia', 'good evening');
        $this->onAir->hear('silver_parrot', '!knot');
        $this->onAir->air->paused = false;
        $page = $this->get(route('publish.why', [$this->cove, $number]))->assertOk();
        $page->assertSee('The parrot was silenced when this line came')->assertDontSee('why-list', false);
        self::assertSame(
            ['no reply: replies were stopped', '', ''],
            array_column($this->getJson(route('publish.lines', [$this->cove]))->json(), 'outcome'),
        );

        app(Editions::class)->silence($this->cove->refresh(), '!knot', true);
        $silenced = OnAir::of($this->cove);
        $number = $silenced->hear('odo', '!knot');
        app(Editions::class)->silence($this->cove->refresh(), '!knot', false);
        $page = $this->get(route('publish.why', [$this->cove, $number]))->assertOk();
        $page->assertSee('replies of this command are stopped; to get through')->assertDontSee('switched');
        $page->assertDontSee('class="saying"', false);
    }

    public function test_the_why_of_an_answer_tells_what_became_of_it(): void
    {
        $number = $this->onAir->hear('pia', '!knot');
        $why = fn (): TestResponse => $this->get(route('publish.why', [$this->cove, $number]))->assertOk();
        $why()->assertSee($this->said('!knot'))->assertSee('not said yet: it waits for its turn');
        $ours = fn (): Builder => DB::table('outgoing')->where('channel_id', $this->cove->id);
        $ours()->update(['state' => 'dropped']);
        $why()->assertSee('never said: the chat takes no more');
        $ours()->update(['state' => 'stale']);
        $why()->assertSee('never said: its turn came too late');
        $this->travelTo('2026-11-27 17:20:00');
        $ours()->update(['state' => 'handed', 'handed_at' => now('UTC')]);
        $why()->assertSee('said at 17:20:00')->assertDontSee('Right after it');
        $this->onAir->notice('you may not say links here');
        $why()->assertSee('Right after it the chat said: you may not say links here');
        $ours()->delete();
        $why()->assertSee('No answer to it is kept');
    }

    public function test_the_state_of_the_connection_is_asked_for_while_the_page_is_looked_at(): void
    {
        $health = route('publish.health', $this->cove);
        $this->get(route('publish.chat', $this->cove))->assertSee("hx-get=\"$health\"", false);
        $this->get($health)->assertOk()->assertContent(app(ConnectionHealth::class)->inWords($this->cove->refresh()));
        $this->cove->update(['air_seen_at' => now('UTC'), 'air_state' => ConnectionState::Moderator]);
        $this->get($health)->assertSee('Connected to the chat, with the rights it needs.');
        $this->cove->update(['air_state' => ConnectionState::Away]);
        $this->get($health)->assertSee('Not in the chat');
        auth()->logout();
        $this->get($health, ['HX-Request' => 'true'])->assertUnauthorized()->assertContent('');
        $this->get($health)->assertRedirect('/sign-in');
    }

    public function test_a_page_that_cannot_read_along_asks_for_what_came_after(): void
    {
        $first = $this->onAir->hear('pia', 'one <b>');
        $this->onAir->hear('pia', '!tide');
        $told = $this->getJson(route('publish.lines', ['channel' => $this->cove, 'after' => $first]))
            ->assertOk()
            ->json();
        self::assertIsArray($told);
        self::assertSame(['!tide'], array_column($told, 'text'));
        self::assertSame(['number', 'kind', 'time', 'name', 'level', 'text', 'outcome'], array_keys($told[0]));
        self::assertStringContainsString(
            'one &lt;b&gt;',
            (string) $this->get(route('publish.chat', $this->cove))->getContent(),
        );
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia)->getJson(route('publish.lines', ['channel' => $far, 'after' => 0]))->assertExactJson([]);
        $this->get(route('publish.why', [$far, $first]))->assertNotFound();
    }

    public function test_a_stream_is_opened_by_a_short_lived_token_for_this_person_and_channel(): void
    {
        $url = $this->postJson(route('publish.stream', $this->cove))->assertOk()->json('url');
        self::assertIsString($url);
        parse_str((string) parse_url($url, PHP_URL_QUERY), $query);
        $text = $query['token'] ?? '';
        self::assertIsString($text);
        $key = (string) config('app.key');
        $now = now()->getTimestamp();
        $token = Token::read($text, $now, $key);
        self::assertSame([$this->wren->id, $this->cove->id], [$token?->user, $token?->channel]);
        self::assertNull(Token::read($text, $now + Token::SECONDS + 1, $key), 'too late');
        self::assertNull(Token::read($text, $now - 1, $key), 'valid for longer than any token is');
        self::assertNull(Token::read($text, $now, 'another key'));
        [$user, $channel, $grant, $until, $sign] = explode('.', $text);
        $other = strrev($grant);
        foreach (
            [
                "$user.".((int) $channel + 1).".$grant.$until.$sign",
                ((int) $user + 1).".$channel.$grant.$until.$sign",
                "$user.$channel.$other.$until.$sign",
                "$user.$channel.$grant.".((int) $until + 1).".$sign",
                "$user.$channel.$grant.$until.",
                '',
                "$user.$channel.$grant.$until.$sign ",
            ] as $forged
        ) {
            self::assertNull(Token::read($forged, $now, $key), $forged);
        }
    }

    public function test_one_writes_in_the_harbour_as_one_of_its_people(): void
    {
        config(['air.harbour_key' => 'the key']);
        $this->postJson(route('publish.say', $this->cove), ['as' => 'odo', 'text' => ' !tide '])->assertNoContent();
        Http::assertSent(
            static fn (Request $request): bool => $request->method() === 'POST'
                && $request->hasHeader('Authorization', 'Bearer the key')
                && $request->data() === ['as' => 'odo', 'text' => '!tide'],
        );
        $whisper = ['as' => 'odo', 'text' => '!mark', 'whisper' => '1'];
        $this->postJson(route('publish.say', $this->cove), $whisper)->assertNoContent();
        Http::assertSent(
            fn (Request $request): bool => ($request->data()['to'] ?? '') === $this->cove->parrot,
        );
        $this->postJson(route('publish.say', $this->cove), ['as' => 'odo', 'text' => ' '])
            ->assertUnprocessable()
            ->assertJson(['message' => 'Write something first.']);
        $this->post(route('publish.say', $this->cove), ['as' => 'odo', 'text' => str_repeat('x', 501)])
            ->assertRedirect()
            ->assertSessionHasErrors(['text' => 'A line has at most 500 characters; this one has 501.']);
        $this->post(route('publish.harbour', $this->cove), [
            'what' => 'trouble',
            'trouble' => 'drop',
            'seconds' => '20',
        ])->assertSessionHas('notice', 'Done.');
        $drop = ['kind' => 'drop', 'seconds' => 20];
        Http::assertSent(static fn (Request $request): bool => $request->data() === $drop);
        $this->post(route('publish.harbour', $this->cove), ['what' => 'nonsense'])->assertSessionHasErrors('what');
        $this->from(route('publish.chat', $this->cove))
            ->followingRedirects()
            ->post(route('publish.harbour', $this->cove), ['what' => 'pace', 'pace' => '3001'])
            ->assertSeeInOrder(
                ['value="3001"', 'aria-describedby="pace-problem"', 'A pace goes from 0 to 3000'],
                false,
            );
    }

    public function test_what_is_for_all_channels_is_the_operators(): void
    {
        $this->actingAs($ilse = $this->member('Ilse', Role::Author));
        foreach (['pace', 'trouble', 'nonsense'] as $what) {
            $this->post(route('publish.harbour', $this->cove), [
                'what' => $what,
                'pace' => '0',
                'trouble' => 'refuse',
                'seconds' => '120',
            ])->assertForbidden();
        }
        $this->post(route('publish.harbour', $this->cove), [
            'what' => 'stream',
            'live' => '1',
            'category' => 'Rigging',
            'title' => 'x',
        ])->assertRedirect();
        $this->get(route('publish.chat', $this->cove))
            ->assertDontSee('cause this trouble')
            ->assertDontSee('change the pace');
        $this->artisan('parrot:operator', ['email' => 'ilse@lantern-cove.example'])->assertSuccessful();
        $this->actingAs($ilse->refresh())->get(route('publish.chat', $this->cove))->assertSee('cause this trouble');
        $this->artisan('parrot:operator', [
            'email' => 'ilse@lantern-cove.example',
            '--off' => true,
        ])->assertSuccessful();
        $this->artisan('parrot:operator', ['email' => 'nobody@lantern-cove.example'])->assertFailed();
    }

    public function test_a_line_is_taken_into_write_with_the_same_person_moment_memory_and_luck(): void
    {
        $number = $this->onAir->hear('quill', '!luck');
        $said = $this->said('!luck');
        $command = $this->command('!luck');
        $page = $this->get(
            route('write.command', ['channel' => $this->cove, 'command' => $command, 'line' => $number]),
        )->assertOk();
        $page->assertSeeText($said)->assertSee('Begins with a line of the real chat')->assertSee('Quill');
        self::assertSame(1, preg_match('/name="chat" value="([^"]+)"/', (string) $page->getContent(), $state));
        $fields = ['chat' => html_entity_decode($state[1]), 'speaker' => 'quill', 'do' => 'say', 'line' => '!crew'];
        $this->post(route('rehearse.try', $this->cove), $fields)->assertSeeText($said)->assertSeeText('!crew');
        // What is held to be right is right in those circumstances, though nobody of that name is in the cast.
        $this->post(route('rehearse.expect', $this->cove), ['index' => 0] + $fields)
            ->assertOk()
            ->assertSee('expected of !luck');
        $this->get(
            route('write', ['channel' => $this->cove, 'line' => $this->onAir->hear('odo', '!nothing of the kind')]),
        )->assertSee('!nothing of the kind');
    }

    public function test_the_last_lines_go_through_draft_and_air_before_publishing(): void
    {
        foreach (['!tide', 'ahoy', '!knot', '!nothing'] as $text) {
            $this->onAir->hear('quill', $text);
        }
        $this->get(route('publish.differently', $this->cove))->assertDontSee('answered differently');
        $row = $this->command('!tide');
        $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields([
                'trigger' => '!tide',
                'responses' => [['text' => 'Low water, [caller].', 'weight' => '1']],
                'revision' => (string) $row->revision,
            ]),
        );
        $this->post(
            route('write.store', $this->cove),
            $this->fields(['trigger' => '!nothing', 'responses' => [['text' => 'Something.', 'weight' => '1']]]),
        );
        $this->get(route('publish', $this->cove))->assertSee(route('publish.differently', $this->cove));
        $page = $this->get(route('publish.differently', $this->cove))
            ->assertSee('The last 4 lines')
            ->assertSee('2 lines would be answered differently.');
        self::assertSame(1, preg_match('~lines/(\d+)/twice~', (string) $page->getContent(), $link));
        $this->get(route('publish.twice', [$this->cove, (int) $link[1]]))
            ->assertOk()
            ->assertSeeInOrder(['on the air', '!tide was triggered', 'in the draft', 'Low water, Quill.']);
        $this->get(route('publish.twice', [$this->cove, 999]))->assertNotFound();
    }

    public function test_lines_are_forgotten_after_a_day_and_each_channel_forgets_its_own(): void
    {
        $log = new Log(DB::connection());
        $old = $this->onAir->hear('quill', 'old');
        $new = $this->onAir->hear('quill', 'new');
        DB::table('heard_lines')->where('number', $old)->update(['at' => now()->subDays(32)]);
        DB::table('heard_lines')->where('number', $new)->update(['at' => now()->subDays(29)]);
        $this->cove->update(['keep_days' => 90]);
        $forget = static fn (): int => Artisan::call('model:prune', ['--model' => [LoggedLine::class]]);
        $forget();
        self::assertNotNull($log->line($this->cove->id, $old), 'as long as the channel says');
        $this->cove->update(['keep_days' => 30]);
        $forget();
        self::assertSame(
            ['new'],
            array_map(static fn (LogEntry $line): string => $line->text, $log->last($this->cove->id, 10)),
        );
    }

    /** What the air queued in answer to the last line. */
    private function said(string $because): string
    {
        $text = DB::table('outgoing')->orderByDesc('id')->value('text');

        return is_string($text) ? $text : self::fail("$because was not answered");
    }
}
