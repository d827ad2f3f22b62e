<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\RehearsalRow;
use App\Models\User;
use App\Publish\Editions;
use App\Storage\Assembler;
use App\Storage\MemoryRows;
use Closure;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Event;
use SilverParrot\Figures\Advice;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\EveningReport;
use SilverParrot\Figures\EveningRun;
use SilverParrot\Figures\HeardAgain;
use SilverParrot\Figures\Proposal;
use SilverParrot\Figures\Ranges;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\RehearsalState;
use SilverParrot\Source\Wording;

/** Rehearsals of whole evenings: begun by a page, heard by a worker, looked at as long as they are kept. */
final readonly class Evenings
{
    /** Rehearsals of one channel that wait or are heard. */
    public const OPEN = 4;

    /** Rehearsals of one channel that are kept: an older one goes for one more. */
    public const KEPT = 40;

    /** Lines behind which no moment is heard again for a page: it would wait too long. */
    public const HEARD_AGAIN = 100_000;

    /** Lines of an evening that is heard again for each advice. */
    private const TRIED_LINES = 20_000;

    /** Between two notes of how far it is, in nanoseconds. */
    private const NOTE_EVERY = 300_000_000;

    public function __construct(
        private Assembler $assembler,
        private Editions $editions,
        private MemoryRows $memory,
        private Wording $wording,
        private LastNight $night,
    ) {
    }

    /** @return RehearsalRow|null null where too many of the channel are open */
    public function begin(Channel $channel, User $user, EveningPlan $plan): ?RehearsalRow
    {
        $open = $channel->rehearsals()->whereIn('state', self::openStates())->count();
        if ($open >= self::OPEN) {
            return null;
        }
        $this->makeRoom($channel);
        $row = $channel->rehearsals()->create([
            'user_id' => $user->id,
            'kind' => $plan->kind(),
            'title' => $plan->title(),
            'options' => $plan->toArray(),
            'state' => RehearsalState::Waiting,
            'done' => 0,
            'total' => $plan->seeds > 1 ? $plan->seeds : $plan->crowd->lines,
            'created_at' => now(),
        ]);
        HearEvening::dispatch($row->id)->onQueue(HearEvening::QUEUE);
        Workers::wake();

        return $row;
    }

    /** It ends at its next look; what nobody has begun yet ends at once. */
    public function stop(RehearsalRow $row): void
    {
        $of = static fn () => RehearsalRow::query()->whereKey($row->id)->where('channel_id', $row->channel_id);
        $of()->where('state', RehearsalState::Waiting->value)
            ->update(['state' => RehearsalState::Stopped->value, 'ended_at' => now()]);
        $of()->where('state', RehearsalState::Running->value)->update(['state' => RehearsalState::Stopping->value]);
    }

    /** With its log; one that is heard ends. */
    public function forget(RehearsalRow $row): void
    {
        $replay = EveningPlan::of($row->options)->replay;
        if ($replay !== null) {
            LogFiles::forget($row->channel_id, $replay->file);
        }
        RehearsalRow::query()->whereKey($row->id)->where('channel_id', $row->channel_id)->delete();
    }

    private function makeRoom(Channel $channel): void
    {
        $channel
            ->rehearsals()
            ->select(['id', 'channel_id', 'options'])
            ->whereNotIn('state', self::openStates())
            ->orderByDesc('id')
            ->skip(self::KEPT - 1)
            ->limit(self::KEPT)
            ->get()
            ->each($this->forget(...));
    }

    /** By a worker. One that was begun and never ended, since its worker died, is heard anew. */
    public function hear(RehearsalRow $row): void
    {
        $isMine = RehearsalRow::query()
            ->whereKey($row->id)
            ->whereIn('state', [RehearsalState::Waiting->value, RehearsalState::Running->value])
            ->update(['state' => RehearsalState::Running->value, 'done' => 0]);
        $channel = Channel::query()->find($row->channel_id);
        if ($isMine === 0 || $channel === null) {
            RehearsalRow::query()
                ->whereKey($row->id)
                ->where('state', RehearsalState::Stopping->value)
                ->update(['state' => RehearsalState::Stopped->value, 'ended_at' => now()]);

            return;
        }
        $plan = EveningPlan::of($row->options);
        if ($plan->nightHours > 0) {
            $this->compare($channel, $row, $plan);

            return;
        }
        $pack = $plan->isOfEdition ? $this->editions->onAir($channel, true) : $this->assembler->pack($channel);
        if ($pack === null) {
            $this->fail($row, 'Nothing was published yet.');

            return;
        }
        $run = new EveningRun(
            $pack,
            EveningRun::live($this->memory->copy($channel, $pack), $plan->start),
            $channel->profile(),
            $this->wording,
        );
        $goesOn = $plan->seeds > 1 ? null : $this->goesOn($row);
        $replay = $plan->replay === null ? null : new Replay($channel->id, $plan->replay, $pack);
        $evening = $replay === null
            ? $this->evening($channel, $run, $plan, $plan->seed, $pack, $goesOn)
            : $run->hear($replay->events(), $plan->seed, $plan->start, null, $goesOn, $replay->take(...));
        $result = EveningReport::figures($evening) + EveningPicture::of($evening)
            + ($replay === null ? [] : ['replay' => $replay->told($evening)]);
        $isStopped = $this->isStopping($row);
        if ($evening->lines <= self::TRIED_LINES && ! $isStopped) {
            $result['advice'] = $this->advice($channel, $plan, $pack, $evening);
        }
        if ($plan->seeds > 1 && ! $isStopped) {
            [$ranges, $isStopped] = $this->ranges($channel, $row, $run, $plan, $pack, $evening);
            $result['ranges'] = $ranges;
        }
        DB::transaction(static function () use ($row, $evening, $result, $pack, $isStopped): void {
            // Whoever deleted it meanwhile wants nothing of it.
            if (RehearsalRow::query()->whereKey($row->id)->lockForUpdate()->doesntExist()) {
                return;
            }
            MarkRows::keep($row, $evening);
            RehearsalRow::query()->whereKey($row->id)->update([
                'result' => json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'pack' => PackFormat::write($pack),
                'found' => json_encode($evening->found, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'state' => ($isStopped ? RehearsalState::Stopped : RehearsalState::Done)->value,
                'done' => $isStopped ? DB::raw('done') : DB::raw('total'),
                'ended_at' => now(),
            ]);
        });
    }

    /** @return list<array<string, int|string>> each tried by hearing the evening again */
    private function advice(Channel $channel, EveningPlan $plan, Pack $pack, Evening $evening): array
    {
        return array_map(function (Proposal $proposal) use ($channel, $plan, $pack, $evening): array {
            $situation = EveningRun::live($this->memory->copy($channel, $pack), $plan->start);
            $run = new EveningRun($proposal->pack, $situation, $channel->profile(), $this->wording);

            return $proposal->tried($evening, $run->hear(
                $this->events($channel, $plan, $plan->seed, $proposal->pack),
                $plan->seed,
                $plan->start,
                $plan->replay === null ? $plan->crowd->length() : null,
            ));
        }, Advice::of($evening, $pack));
    }

    /** The air's own log against the draft. */
    private function compare(Channel $channel, RehearsalRow $row, EveningPlan $plan): void
    {
        $air = $this->editions->onAir($channel, true);
        if ($air === null) {
            $this->fail($row, 'Nothing was published yet.');

            return;
        }
        $result = $this->night->hear(
            $channel,
            $plan->start->plusMillis(-$plan->nightHours * 3_600_000),
            $air,
            $this->assembler->pack($channel),
            $this->goesOn($row),
        );
        $isStopped = $this->isStopping($row);
        RehearsalRow::query()->whereKey($row->id)->update([
            'result' => json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'state' => ($isStopped ? RehearsalState::Stopped : RehearsalState::Done)->value,
            'done' => $result['lines'],
            'total' => $result['lines'],
            'ended_at' => now(),
        ]);
    }

    public function fail(RehearsalRow $row, string $why): void
    {
        RehearsalRow::query()->whereKey($row->id)->update([
            'state' => RehearsalState::Failed->value,
            'trouble' => mb_substr($why, 0, 300),
            'ended_at' => now(),
        ]);
    }

    /** One of its moments, heard again as it was, with its why. */
    public function moment(Channel $channel, RehearsalRow $row, string $event): ?HeardAgain
    {
        if ($row->pack === null) {
            return null;
        }
        $plan = EveningPlan::of($row->options);
        $pack = PackFormat::read($row->pack)[0];
        $now = $this->memory->copy($channel);
        // As it was found then: what was not there then is not there now.
        $then = new InitialState(
            $row->found ?? [],
            $channel->details,
            quotes: $now->quotes,
            ranking: $now->ranking,
            answers: $now->answers,
        );

        return (new EveningRun($pack, EveningRun::live($then, $plan->start), $channel->profile(), $this->wording))
            ->moment($this->events($channel, $plan, $plan->seed, $pack), $plan->seed, $plan->start, $event);
    }

    /** @return list<string> */
    private static function openStates(): array
    {
        return array_values(array_map(
            static fn (RehearsalState $state): string => $state->value,
            array_filter(RehearsalState::cases(), static fn (RehearsalState $state): bool => $state->isOpen()),
        ));
    }

    /** @param  Closure(int): bool|null  $goesOn */
    private function evening(
        Channel $channel,
        EveningRun $run,
        EveningPlan $plan,
        string $seed,
        Pack $pack,
        ?Closure $goesOn = null,
    ): Evening {
        return $run->hear(
            $this->events($channel, $plan, $seed, $pack),
            $seed,
            $plan->start,
            $plan->crowd->length(),
            $goesOn,
        );
    }

    /** @return iterable<Event> */
    private function events(Channel $channel, EveningPlan $plan, string $seed, Pack $pack): iterable
    {
        return $plan->replay === null
            ? (new Crowd($plan->crowd, $pack, $seed, $plan->words))->events($plan->start)
            : (new Replay($channel->id, $plan->replay, $pack))->events();
    }

    /**
     * @return array{array<string, array{least: float|int, middle: float|int, most: float|int}>, bool} and whether it
     *     was stopped
     */
    private function ranges(
        Channel $channel,
        RehearsalRow $row,
        EveningRun $run,
        EveningPlan $plan,
        Pack $pack,
        Evening $first,
    ): array {
        $runs = [EveningReport::figures($first)];
        for ($more = 1; $more < $plan->seeds; $more++) {
            RehearsalRow::query()->whereKey($row->id)->update(['done' => $more]);
            if ($this->isStopping($row)) {
                return [Ranges::of(self::decoded($runs)), true];
            }
            $runs[] = EveningReport::figures(
                $this->evening($channel, $run, $plan, "{$plan->seed} $more", $pack),
            );
        }

        return [Ranges::of(self::decoded($runs)), false];
    }

    /**
     * @param  non-empty-list<array<string, mixed>>  $runs
     * @return non-empty-list<array<string, mixed>>
     */
    private static function decoded(array $runs): array
    {
        /** @var non-empty-list<array<string, mixed>> $decoded */
        $decoded = json_decode(json_encode($runs, JSON_THROW_ON_ERROR), true);

        return $decoded;
    }

    /** @return Closure(int): bool */
    private function goesOn(RehearsalRow $row): Closure
    {
        $last = hrtime(true);

        return function (int $lines) use ($row, &$last): bool {
            if (hrtime(true) - $last < self::NOTE_EVERY) {
                return true;
            }
            $last = hrtime(true);
            RehearsalRow::query()->whereKey($row->id)->update(['done' => $lines]);

            return ! $this->isStopping($row);
        };
    }

    private function isStopping(RehearsalRow $row): bool
    {
        return RehearsalRow::query()->whereKey($row->id)->value('state') !== RehearsalState::Running;
    }
}
