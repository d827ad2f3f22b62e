<?php

declare(strict_types=1);

namespace Tests\Feature\Air;

use App\Air\ServiceControl;
use App\Air\ServiceEffects;
use App\Air\ServiceWeb;
use App\Models\EffectRow;
use App\Publish\Editions;
use App\Publish\FromChat\CarryOut;
use App\Publish\FromChat\EffectState;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use Tests\Air\HarbourProcess;
use Tests\Feature\TestCase;

/** Title, category, tags and marks, set from the chat at the harbour. */
final class ServiceEffectsTest extends TestCase
{
    private HarbourProcess $harbour;

    private OnAir $on;

    protected function setUp(): void
    {
        parent::setUp();
        $this->harbour = HarbourProcess::startNear(26940);
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $this->on = OnAir::of($this->cove);
    }

    protected function tearDown(): void
    {
        $this->harbour->end();
        parent::tearDown();
    }

    public function test_each_is_set_told_and_kept_with_who_did_it_and_put_back_from_the_page(): void
    {
        self::assertSame(['The title is now “Knots till dawn”.'], $this->said('!title Knots till dawn'));
        self::assertSame(
            ['Now at Rigging. The harbour added the tags rope and removed wood.'],
            $this->said('!category rigging'),
        );
        self::assertSame(['The tags are now boats, night.'], $this->said('!tags boats night'));
        self::assertMatchesRegularExpression('/^Marked gull at 1:00:\d\d\.$/', $this->said('!mark gull')[0]);
        $now = json_decode($this->harbour->ask('/channels/lantern_cove'), true);
        self::assertSame(
            ['Knots till dawn', 'Rigging', ['boats', 'night']],
            [$now['title'], $now['category'], $now['tags']],
        );
        self::assertSame('gull', json_decode($this->harbour->ask('/channels/lantern_cove/marks'), true)[0]['text']);

        self::assertSame(['Knots till dawn is that already.'], $this->said('!title Knots till dawn'));
        self::assertSame(
            ['There is no category “riging”; did you mean Rigging?'],
            $this->said('!category riging'),
        );
        config([
            'air.details' => "127.0.0.1:{$this->harbour->details}",
            'air.service_key' => HarbourProcess::PARROT_KEY,
        ]);
        $this->actingAs($this->wren)
            ->get(route('write.from-chat', $this->cove))
            ->assertOk()
            ->assertSee('Knots till dawn')
            ->assertSee('set the tags');
        $row = $this->row('set tags');
        $this->post(route('write.from-chat.undo', [$this->cove, $row]))
            ->assertSessionHas('notice', 'Taken back: the stream has it as before.');
        self::assertSame(['boats', 'rope'], json_decode($this->harbour->ask('/channels/lantern_cove'), true)['tags']);
        // What the service has otherwise by now stays.
        $this->harbour->post('/channels/lantern_cove', ['title' => 'Somebody else’s']);
        $this->post(route('write.from-chat.undo', [$this->cove, $this->row('set title')]))
            ->assertSessionHas('notice', 'It was changed again since, so it stays; change it by hand.');
    }

    public function test_no_right_no_answer_and_too_many_are_each_told(): void
    {
        $this->harbour->post('/troubles', ['kind' => 'deny', 'seconds' => 60]);
        self::assertSame(['The streaming service doesn’t let the parrot change that.'], $this->said('!title One'));
        self::assertSame(
            ['The streaming service doesn’t let the parrot change that.'],
            $this->said('!title One', key: 'another'),
        );
        self::assertSame(['The streaming service didn’t answer.'], $this->said('!title One', port: 1));
        $this->on->air->isOfService = false;
        self::assertSame(['The streaming service doesn’t let the parrot change that.'], $this->said('!title One'));
        $this->on->air->isOfService = true;

        $this->harbour->end();
        $this->harbour = HarbourProcess::startNear(26940);
        for ($time = 1; $time <= 30; $time++) {
            $this->harbour->post('/channels/lantern_cove', ['title' => "No. $time"], HarbourProcess::PARROT_KEY);
        }
        self::assertSame(
            ['The streaming service was asked too often; try again in a minute.'],
            $this->said('!title One'),
        );
    }

    /** What a kill leaves: what was asked, and nobody knows how it ended. */
    public function test_after_a_kill_it_is_asked_again_where_that_is_harmless_and_else_told_as_unknown(): void
    {
        $this->on->hear('ilse', '!title Begun', Level::Editor);
        $this->on->hear('ilse', '!mark begun', Level::Editor);
        DB::table('effects')->update(['state' => EffectState::Begun->value]);
        self::assertSame(
            [
                'The title is now “Begun”.',
                'Not marked. The parrot was cut off before it heard back, so it may or may not be done.',
            ],
            $this->carriedOut(),
        );
        self::assertSame('Begun', json_decode($this->harbour->ask('/channels/lantern_cove'), true)['title']);
        self::assertSame([], json_decode($this->harbour->ask('/channels/lantern_cove/marks'), true));
        self::assertSame(EffectState::Unknown, $this->row('mark moment')->state);
        // Whoever has lost the channel keeps nothing of it.
        $this->on->hear('ilse', '!title Late', Level::Editor);
        $this->cove->refresh()->update(['lease_epoch' => 9]);
        self::assertSame([], $this->carriedOut());
        self::assertSame(EffectState::Waiting, $this->row('set title')->state);
    }

    /** @return list<string> */
    private function said(string $line, string $key = HarbourProcess::PARROT_KEY, ?int $port = null): array
    {
        $this->on->hear('ilse', $line, Level::Editor);

        return $this->carriedOut($key, $port);
    }

    /** @return list<string> */
    private function carriedOut(string $key = HarbourProcess::PARROT_KEY, ?int $port = null): array
    {
        $web = new ServiceWeb('127.0.0.1:'.($port ?? $this->harbour->details), $key);
        $effects = new ServiceEffects(DB::connection(), new ServiceControl($web));
        $said = [];
        while ($effects->next($this->on->air)) {
            foreach (app(CarryOut::class)->waitingIn($this->cove->id, null) as $number => $event) {
                foreach ($this->on->air->happens($event) ?? [] as $saying) {
                    $said[] = $saying->text;
                }
                CarryOut::told($this->cove->id, $number);
            }
        }

        return $said;
    }

    private function row(string $deed): EffectRow
    {
        return EffectRow::query()
            ->where('channel_id', $this->cove->id)
            ->where('deed', $deed)
            ->where('state', '<>', EffectState::Refused->value)
            ->orderByDesc('id')
            ->firstOrFail();
    }
}
