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
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Checkpoint;
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

    /** Lines of an evening that is heard again for its whole report. */
    private const REPORTED_LINES = 100_000;

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
        private SeveralEvenings $several,
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
        if ($plan->seeds > 1) {
            // The others may be heard before this one is: with the same pack.
            RehearsalRow::query()->whereKey($row->id)->update(['pack' => PackFormat::write($pack)]);
            $this->several->dispatch($row, $plan);
        }
        $goesOn = $this->sketching($row, $plan);
        $replay = $plan->replay === null ? null : new Replay($channel->id, $plan->replay, $pack);
        $checkpoints = [];
        $evening = $run->hear(
            $replay === null ? $this->events($channel, $plan, $plan->seed, $pack) : $replay->events(),
            $plan->seed,
            $plan->start,
            $plan->length(),
            $goesOn,
            $replay === null ? null : $replay->take(...),
            static function (Checkpoint $one) use (&$checkpoints): void {
                $checkpoints[] = $one;
            },
        );
        $result = EveningReport::figures($evening) + EveningPicture::of($evening)
            + ($replay === null ? [] : ['replay' => $replay->told($evening)]);
        $isStopped = $this->isStopping($row);
        if ($evening->lines <= self::TRIED_LINES && ! $isStopped) {
            $result['advice'] = $this->advice($channel, $row, $plan, $pack, $evening);
            $isStopped = $this->isStopping($row);
        }
        DB::transaction(static function () use (
            $row,
            $plan,
            $evening,
            $checkpoints,
            $result,
            $pack,
            $isStopped,
        ): void {
            // Whoever deleted it meanwhile wants nothing of it.
            if (RehearsalRow::query()->whereKey($row->id)->lockForUpdate()->doesntExist()) {
                return;
            }
            MarkRows::keep($row, $evening);
            CheckpointRows::keep($row, $plan->start, $checkpoints);
            RehearsalRow::query()->whereKey($row->id)->update([
                'result' => json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'pack' => PackFormat::write($pack),
                'found' => json_encode($evening->found, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'sketch' => null,
            ] + ($plan->seeds > 1 ? [] : [
                'state' => ($isStopped ? RehearsalState::Stopped : RehearsalState::Done)->value,
                'done' => $isStopped ? DB::raw('done') : DB::raw('total'),
                'ended_at' => now(),
            ]));
        });
        if ($plan->seeds > 1) {
            // One that was not heard to its end is no measure for the others.
            $isStopped || $this->several->keep($row, 0, $evening);
            $this->several->finish($row);
        }
    }

    /** @return list<array<string, int|string>> each tried by hearing the evening again */
    private function advice(
        Channel $channel,
        RehearsalRow $row,
        EveningPlan $plan,
        Pack $pack,
        Evening $evening,
    ): array {
        // All is heard by now: what is left is to try what would be better.
        if ($plan->seeds === 1) {
            RehearsalRow::query()->whereKey($row->id)->update(['done' => DB::raw('total')]);
        }
        $advice = [];
        foreach (Advice::of($evening, $pack) as $proposal) {
            $situation = EveningRun::live($this->memory->copy($channel, $pack), $plan->start);
            $run = new EveningRun($proposal->pack, $situation, $channel->profile(), $this->wording);
            $again = $run->hear(
                $this->events($channel, $plan, $plan->seed, $proposal->pack),
                $plan->seed,
                $plan->start,
                $plan->length(),
                fn (): bool => ! $this->isStopping($row),
            );
            // What was not heard to its end says nothing.
            if ($this->isStopping($row)) {
                break;
            }
            $tried = $proposal->tried($evening, $again);
            // What would have changed nothing is no advice.
            $advice = $tried['after'] < $tried['before'] ? [...$advice, $tried] : $advice;
        }

        return $advice;
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
    public function moment(Channel $channel, RehearsalRow $row, KeptMark $mark): ?HeardAgain
    {
        $again = $this->again($channel, $row);
        if ($again === null) {
            return null;
        }
        [$run, $plan, $pack] = $again;

        return $run->moment(
            $this->events($channel, $plan, $plan->seed, $pack),
            $plan->seed,
            $plan->start,
            $mark->event,
            $plan->length(),
            CheckpointRows::before($row, $mark->millis),
        );
    }

    /** @return array<string, mixed>|null as the command line writes it; null where too much would be heard */
    public function report(Channel $channel, RehearsalRow $row): ?array
    {
        $again = $this->again($channel, $row);
        $lines = $row->result['lines'] ?? 0;
        if ($again === null || ! is_int($lines) || $lines > self::REPORTED_LINES) {
            return null;
        }
        [$run, $plan, $pack] = $again;
        $evening = $run->hear(
            $this->events($channel, $plan, $plan->seed, $pack),
            $plan->seed,
            $plan->start,
            $plan->length(),
        );

        return EveningReport::of($evening, $this->wording) + ['expectations' => []];
    }

    /** @return array{EveningRun, EveningPlan, Pack}|null with what it was heard with; null where it never was */
    private function again(Channel $channel, RehearsalRow $row): ?array
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

        return [
            new EveningRun($pack, EveningRun::live($then, $plan->start), $channel->profile(), $this->wording),
            $plan,
            $pack,
        ];
    }

    /** @return list<string> */
    private static function openStates(): array
    {
        return array_values(array_map(
            static fn (RehearsalState $state): string => $state->value,
            array_filter(RehearsalState::cases(), static fn (RehearsalState $state): bool => $state->isOpen()),
        ));
    }

    /** @return iterable<Event> */
    private function events(Channel $channel, EveningPlan $plan, string $seed, Pack $pack): iterable
    {
        return $plan->replay === null
            ? (new Crowd($plan->crowd, $pack, $seed, $plan->words))->events($plan->start)
            : (new Replay($channel->id, $plan->replay, $pack))->events();
    }

    /** @return Closure(int, Evening): bool */
    private function sketching(RehearsalRow $row, EveningPlan $plan): Closure
    {
        $last = 0;

        return function (int $lines, Evening $evening) use ($row, $plan, &$last): bool {
            if (hrtime(true) - $last < self::NOTE_EVERY) {
                return true;
            }
            $last = hrtime(true);
            RehearsalRow::query()->whereKey($row->id)->update([
                'sketch' => json_encode(EveningSketch::of($evening, $plan->length()), JSON_THROW_ON_ERROR),
            ] + ($plan->seeds === 1 ? ['done' => $lines] : []));

            return ! $this->isStopping($row);
        };
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
