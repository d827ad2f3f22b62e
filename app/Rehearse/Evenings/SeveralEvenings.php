<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\RehearsalRow;
use App\Storage\MemoryRows;
use Illuminate\Support\Facades\DB;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\EveningReport;
use SilverParrot\Figures\EveningRun;
use SilverParrot\Figures\Ranges;
use SilverParrot\Format\PackFormat;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\RehearsalState;
use SilverParrot\Source\Wording;

/** One rehearsal of several evenings, in parts that all workers take; whoever ends the last part ends all of it. */
final readonly class SeveralEvenings
{
    /** Evenings of a part. */
    private const AT_ONCE = 5;

    public function __construct(private MemoryRows $memory, private Wording $wording)
    {
    }

    /** All but the first, which is heard by whoever begins. */
    public function dispatch(RehearsalRow $row, EveningPlan $plan): void
    {
        for ($from = 1; $from < $plan->seeds; $from += self::AT_ONCE) {
            HearMore::dispatch($row->id, $from, min($plan->seeds, $from + self::AT_ONCE))->onQueue(HearEvening::QUEUE);
        }
        Workers::wake();
    }

    /** By a worker; what was heard already is not heard again. */
    public function hear(RehearsalRow $row, int $from, int $to): void
    {
        $channel = Channel::query()->find($row->channel_id);
        $plan = EveningPlan::of($row->options);
        if ($channel === null || $row->pack === null) {
            return;
        }
        $pack = PackFormat::read($row->pack)[0];
        $situation = EveningRun::live($this->memory->copy($channel, $pack), $plan->start);
        $run = new EveningRun($pack, $situation, $channel->profile(), $this->wording);
        $known = self::of($row)->pluck('number')->all();
        for ($number = $from; $number < $to && self::state($row) === RehearsalState::Running; $number++) {
            if (! in_array($number, $known, true)) {
                $seed = $plan->seedOf($number);
                $this->keep($row, $number, $run->hear(
                    (new Crowd($plan->crowd, $pack, $seed, $plan->words))->events($plan->start),
                    $seed,
                    $plan->start,
                    $plan->length(),
                ));
            }
        }
        $this->finish($row);
    }

    public function keep(RehearsalRow $row, int $number, Evening $evening): void
    {
        // Whoever deleted it meanwhile wants nothing of it.
        DB::transaction(static function () use ($row, $number, $evening): void {
            if (RehearsalRow::query()->whereKey($row->id)->lockForUpdate()->doesntExist()) {
                return;
            }
            DB::table('rehearsal_runs')->insertOrIgnore([
                'channel_id' => $row->channel_id,
                'rehearsal_id' => $row->id,
                'number' => $number,
                'figures' => json_encode(
                    EveningReport::short(EveningReport::figures($evening)),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                ),
            ]);
            RehearsalRow::query()->whereKey($row->id)->update(['done' => self::of($row)->count()]);
        });
    }

    /** Once all are heard, or it was stopped and the first was. */
    public function finish(RehearsalRow $row): void
    {
        DB::transaction(static function () use ($row): void {
            $now = RehearsalRow::query()->whereKey($row->id)->lockForUpdate()->first();
            $seeds = EveningPlan::of($row->options)->seeds;
            if (
                $now === null
                || $now->result === null
                || ! in_array($now->state, [RehearsalState::Running, RehearsalState::Stopping], true)
            ) {
                return;
            }
            $runs = array_values(self::runs($now));
            $isStopped = $now->state === RehearsalState::Stopping;
            if (count($runs) < $seeds && ! $isStopped) {
                return;
            }
            $now->update([
                'result' => ($runs === [] ? [] : ['ranges' => Ranges::of($runs)]) + $now->result,
                'state' => $isStopped ? RehearsalState::Stopped : RehearsalState::Done,
                'ended_at' => now(),
            ]);
        });
    }

    /** @return array<int, array<string, mixed>> the figures of each that was heard, by number */
    public static function runs(RehearsalRow $row): array
    {
        return array_map(static function (string $figures): array {
            /** @var array<string, mixed> $run */
            $run = json_decode($figures, true);

            return $run;
        }, self::kept($row));
    }

    /** @return list<array<string, mixed>> the same with their seeds, as the command line tells them */
    public static function reported(RehearsalRow $row): array
    {
        $plan = EveningPlan::of($row->options);
        $runs = [];
        foreach (self::kept($row) as $number => $figures) {
            // What is empty and has names stays so.
            /** @var array<string, mixed> $run */
            $run = get_object_vars((object) json_decode($figures));
            $runs[] = ['seed' => $plan->seedOf($number)] + $run;
        }

        return $runs;
    }

    /** @return array<int, string> */
    private static function kept(RehearsalRow $row): array
    {
        /** @var array<int, string> $kept */
        $kept = self::of($row)->orderBy('number')->pluck('figures', 'number')->all();

        return $kept;
    }

    private static function of(RehearsalRow $row): \Illuminate\Database\Query\Builder
    {
        return DB::table('rehearsal_runs')->where('channel_id', $row->channel_id)->where('rehearsal_id', $row->id);
    }

    private static function state(RehearsalRow $row): ?RehearsalState
    {
        $state = RehearsalRow::query()->whereKey($row->id)->value('state');

        return $state instanceof RehearsalState ? $state : null;
    }
}
