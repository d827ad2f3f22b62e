<?php

declare(strict_types=1);

namespace Tests\Feature\Air;

use App\Air\Tallies;
use App\Air\Timers;
use App\Storage\MariaDbStore;
use App\Storage\MemoryRows;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Figures\EveningRun;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Value\Moment;
use Tests\Feature\TestCase;

/** What timers say on the air, second by second, a rehearsal says within a second of it. */
final class TimersTest extends TestCase
{
    private const MINUTES = 30;

    public function test_timers_of_a_rehearsal_speak_within_a_second_of_those_on_the_air(): void
    {
        $pack = $this->pack();
        $start = Moment::of(now());
        $crowd = new CrowdDescription(12, self::MINUTES, 220);
        $lines = array_values(array_filter(
            iterator_to_array((new Crowd($crowd, $pack, '3'))->events($start), false),
            static fn (Event $one): bool => $one instanceof ChatLine,
        ));
        $rehearsed = $this->rehearsed($pack, $lines, $start);
        $said = $this->onTheAir($pack, $lines, $start);
        self::assertGreaterThan(6, count($said));
        self::assertSame(array_column($rehearsed, 0), array_column($said, 0));
        foreach ($said as $place => [$name, $millis]) {
            self::assertLessThanOrEqual(1_000, abs($millis - $rehearsed[$place][1]), "$name, the {$place}th");
        }
    }

    /**
     * @param  list<ChatLine>  $lines
     * @return list<array{string, int}> what spoke, and when, in milliseconds since the start
     */
    private function rehearsed(Pack $pack, array $lines, Moment $start): array
    {
        $rehearsal = new Rehearsal(
            $pack,
            EveningRun::live(app(MemoryRows::class)->copy($this->cove), $start),
            $this->cove->seed,
            $this->cove->profile(),
            false,
        );
        $said = [];
        $end = $start->plusMillis(self::MINUTES * 60_000);
        foreach (Runner::each($rehearsal, $lines, $start, $end) as $heard) {
            if ($heard->event instanceof TimerDue && $heard->outcome->sayings !== []) {
                $said[] = [$heard->event->timer->name, $heard->line->millis];
            }
        }

        return $said;
    }

    /**
     * @param  list<ChatLine>  $lines
     * @return list<array{string, int}>
     */
    private function onTheAir(Pack $pack, array $lines, Moment $start): array
    {
        $air = OnAir::of($this->cove)->air;
        $air->pack = $pack;
        $air->keptDetails = ['live' => true];
        $store = new MariaDbStore(DB::connection(), $this->cove->id);
        $said = [];
        for ($second = 0; $second < self::MINUTES * 60; $second++) {
            $now = $start->plusMillis($second * 1_000);
            $this->travelTo($now->iso());
            while (isset($lines[0]) && $lines[0]->at->millis <= $now->millis) {
                $air->hear(array_shift($lines));
            }
            Timers::look($air, $store, $now, static function (TimerDue $due) use ($air, $start, &$said): void {
                if (($air->happens($due) ?? []) !== []) {
                    $said[] = [$due->timer->name, $due->at()->millis - $start->millis];
                }
            });
            Tallies::keep($air, $store);
        }

        return $said;
    }

    /** The demo with timers that wait for minutes, for lines, and for lines of the last minutes, live or not. */
    private function pack(): Pack
    {
        $document = json_decode(
            (string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')),
            true,
        );
        self::assertIsArray($document);
        // Nobody in the chat is of the cast.
        [$demo] = PackFormat::read(json_encode(['cast' => []] + $document, JSON_THROW_ON_ERROR));

        return $demo->withTimers([
            new Timer('by the clock', [Say::response('Five bells.')], 5, 0, false),
            new Timer('with lines', [Say::response('The shop is open.')], 3, 12, false),
            new Timer('while they talk', [Say::response('Mind the paint.')], 7, 4, false, within: 3),
        ]);
    }
}
