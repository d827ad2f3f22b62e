<?php

declare(strict_types=1);

namespace Tests\Feature\Accounts;

use App\Accounts\Invitations;
use App\Accounts\Role;
use App\Models\Channel;
use App\Models\DefinitionChange;
use App\Publish\Editions;
use App\Publish\FromChat\EffectState;
use App\Rehearse\Evenings\EveningPlan;
use App\Rehearse\Evenings\Evenings;
use App\Storage\CommandRepository;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use SilverParrot\Pack\Expectation;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\RehearsalState;
use SilverParrot\Value\Moment;
use Tests\Demo;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** Every route there is, as somebody who has no business with it. */
final class StrangersTest extends TestCase
{
    /** Routes for whoever comes; every other one must be looked at here. */
    private const OPEN = [
        'home',
        'sign-in',
        'sign-in.link',
        'register',
        'password.request',
        'password.email',
        'password.reset',
        'password.update',
        'channels',
        'channels.store',
        'sign-out',
        'first-steps.dismiss',
        'account',
        'account.name',
        'account.email',
        'account.email.confirm',
        'account.password',
        'account.end',
        'invitation',
        'invitation.accept',
        // Whoever knows one may read it.
        'live',
        'live.text',
    ];

    /** Those that a reader may use. */
    private const READING = [
        'write.phrases',
        'remember.lookups',
        'write.phrase-order',
        'write.timers',
        'write.timers.picture',
        'write.mistyped',
        'write.findings',
        'write.from-chat',
        'write.deleted',
        'write.help',
        'write.pack.export',
        'rehearse',
        'rehearse.scripts',
        'rehearse.scripts.stand',
        'rehearse.scripts.suggest',
        'write.coverage',
        'rehearse.crowd',
        'rehearse.evening',
        'rehearse.replay',
        'rehearse.evening.picture',
        'rehearse.evening.moment',
        'rehearse.evening.report',
        'publish.scripts',
        'write',
        'write.command',
        'write.preview',
        'write.reference',
        'rehearse.try',
        'remember',
        'remember.emotes.picture',
        'remember.quotes',
        'remember.take',
        'remember.list',
        'remember.counter',
        'remember.live',
        'remember.points',
        'remember.regulars',
        'remember.ranks',
        'remember.goods',
        'remember.moving',
        'remember.plan',
        'remember.plan.give',
        'remember.viewers',
        'remember.person',
        'remember.person.export',
        'publish',
        'publish.differently',
        'publish.chat',
        'publish.health',
        'publish.waiting',
        'publish.lines',
        'publish.why',
        'publish.twice',
        'publish.stream',
    ];

    public function test_whoever_is_not_signed_in_is_led_to_the_door(): void
    {
        foreach ($this->channelRoutes() as $name => [$method, $url]) {
            $this->call($method, $url)->assertRedirect('/sign-in');
        }
        $this->get('/channels')->assertRedirect('/sign-in');
    }

    public function test_to_a_stranger_and_to_another_channels_author_nothing_is_there(): void
    {
        $other = $this->harbour($this->person('Pia'));
        foreach (
            [
                $this->person('Odo'),
                $this->member('Ilse', Role::Author, $other),
                $this->member('Bram', Role::Streamer, $other),
            ] as $user
        ) {
            $this->actingAs($user);
            foreach ($this->channelRoutes() as $name => [$method, $url]) {
                $this->call($method, $url, $this->fields())->assertNotFound();
            }
        }
        self::assertSame(Demo::commands(), $this->cove->commands()->count());
    }

    public function test_a_reader_reads_and_rehearses_and_changes_nothing(): void
    {
        $this->actingAs($this->member('Jonah', Role::Reader));
        foreach ($this->channelRoutes() as $name => [$method, $url]) {
            $status = $this->call($method, $url, $this->fields())->getStatusCode();
            self::assertSame(in_array($name, self::READING, true) ? 200 : 403, $status, "$method $name");
        }
        $this->get(route('write.command', [$this->cove, $this->command('!tide')]))->assertDontSee('>Save<', false);
    }

    public function test_an_author_does_not_choose_who_is_in(): void
    {
        $this->actingAs($this->member('Ilse', Role::Author));
        foreach ($this->channelRoutes() as $name => [$method, $url]) {
            if (str_starts_with($name, 'members') || str_starts_with($name, 'publish.connection')) {
                $this->call($method, $url)->assertForbidden();
            }
        }
    }

    public function test_a_child_of_another_channel_is_not_found_under_ones_own(): void
    {
        $own = $this->harbour($this->person('Pia'));
        $this->actingAs($own->memberships()->with('user')->firstOrFail()->user);
        $looked = 0;
        foreach ($this->channelRoutes($own) as $name => [$method, $url]) {
            $kinds = 'commands|undo|cast|members|invitations|editions|lines|evenings|scripts|suggest';
            if (preg_match("~/($kinds)/\\d+~", $url) === 1) {
                $this->call($method, $url, $this->fields())->assertNotFound();
                $looked++;
            }
        }
        self::assertSame(30, $looked);
        self::assertSame(Demo::commands(), $this->cove->commands()->count());
    }

    public function test_a_draft_never_borrows_another_channels_command(): void
    {
        $own = $this->harbour($pia = $this->person('Pia'));
        $answer = $this->actingAs($pia)->post(
            route('rehearse.try', $own),
            $this->fields([
                'command' => (string) $this->command('!tide')->id,
                'do' => 'say',
                'speaker' => 'pia',
                'line' => '!tide',
            ]),
        );
        $answer->assertOk()->assertDontSee('High water');
    }

    /**
     * Every route below a channel, with the cove's own children in it.
     *
     * @param  Channel|null  $under  another channel to ask for them under
     * @return array<string, array{string, string}> method and path by name
     */
    private function channelRoutes(?Channel $under = null): array
    {
        $command = $this->command('!tide');
        $expectation = app(CommandRepository::class)->expect(
            $command,
            new Expectation('!tide', 'pia', ['x'], new Moment(0), '1', 'e'),
        );
        $change = $this->cove->changes()->firstOrFail();
        $membership = $this->cove->memberships()->firstOrFail();
        $values = [
            'channel' => ($under ?? $this->cove)->id,
            'command' => $command->id,
            'change' => $change->id,
            'expectation' => $expectation->id,
            'membership' => $membership->id,
            'edition' => $this->cove->editions()->first()->id
                ?? app(Editions::class)->publish($this->cove, '', $this->wren)->id,
        ];
        $values['history'] = 1;
        app(Invitations::class)->issue($this->cove, Role::Reader, $this->wren);
        $values['invitation'] = $this->cove->invitations()->firstOrFail()->id;
        $values['emote'] = $this->cove->emotes()->firstOrFail()->id;
        $values['definitionChange'] = DefinitionChange::query()->firstOrCreate([
            'channel_id' => $this->cove->id,
            'kind' => 'limits',
            'subject' => '',
        ])->id;
        $values['viewer'] = $this->cove->viewers()->firstOrFail()->id;
        $values['transfer'] = 'quotes';
        $values['format'] = 'csv';
        $values['quote'] = 1;
        $values['kind'] = 'facts';
        $values['stable'] = $this->cove->facts()->firstOrFail()->stable_id;
        $values['remember.list stable'] = 'knots';
        $values['remember.counter stable'] = 'planks';
        $values['item'] = 'x';
        $values['day'] = '2026-12-24';
        $values['earning'] = $this->cove->earnings()->firstOrCreate(['stable_id' => 'e'], [
            'unit' => 'pebbles',
            'earned_by' => 'line',
            'amount' => 1,
            'levels' => [],
        ])->id;
        $values['liveAddress'] = $this->cove->liveAddresses()->firstOrCreate(['token' => str_repeat('a', 48)], [
            'shows' => '[counter.planks]',
            'look' => [],
        ])->id;
        $values['effect'] = $this->cove->effects()->firstOrCreate(['event_key' => 'x'], [
            'state' => EffectState::Done,
            'effect' => [],
            'goes_on' => [],
            'deed' => 'delete command',
        ])->id;
        $values['timer'] = $this->cove->timers()->firstOrFail()->id;
        $values['castMember'] = $this->cove->castMembers()->firstOrFail()->id;
        $values['script'] = $this->cove->scripts()->firstOrCreate(
            ['stable_id' => 'x'],
            ['title' => 'x', 'text' => "format: silver-parrot-script\nversion: 1\ntitle: x\nchat: []\n"],
        )->id;
        $rehearsal = $this->cove->rehearsals()->firstOrCreate(['title' => 'x'], [
            'kind' => 'crowd',
            'options' => (new EveningPlan(new CrowdDescription(5, 5, 50), '1', new Moment(0)))->toArray(),
            'state' => RehearsalState::Waiting,
            'created_at' => now(),
        ]);
        app(Evenings::class)->hear($rehearsal);
        $values['rehearsal'] = $rehearsal->id;
        $values['mark'] = DB::table('rehearsal_marks')->where('rehearsal_id', $rehearsal->id)->value('id');
        $values['batch'] = str_repeat('0', 26);
        $values['number'] = OnAir::of($this->cove)->hear('odo', '!tide');
        $routes = [];
        /** @var Route $route */
        foreach (Routes::getRoutes() as $route) {
            $name = (string) $route->getName();
            if (! str_contains($route->uri(), '{channel}')) {
                self::assertTrue(
                    in_array($name, self::OPEN, true)
                        || $route->uri() === 'up'
                        || in_array($route->uri(), ['sign-in', 'register'], true),
                    "{$route->uri()} is looked at by no test",
                );

                continue;
            }
            self::assertContains('auth', $route->gatherMiddleware(), $route->uri());
            $path = preg_replace_callback(
                '/\{(\w+)\}/',
                static fn (array $part): string => (string) (
                    $values["$name {$part[1]}"] ?? $values[$part[1]] ?? self::fail("no {$part[1]}")
                ),
                $route->uri(),
            );
            // Several methods may share a name.
            $routes[isset($routes[$name]) ? $name.' '.$route->methods()[0] : $name] = [$route->methods()[0], '/'.$path];
        }
        self::assertGreaterThanOrEqual(14, count($routes));

        return $routes;
    }
}
