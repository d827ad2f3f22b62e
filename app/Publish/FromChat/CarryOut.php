<?php

declare(strict_types=1);

namespace App\Publish\FromChat;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\EffectRow;
use App\Models\User;
use App\Models\Viewer;
use App\Publish\CannotPublish;
use App\Publish\Editions;
use App\Storage\CommandRepository;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Timers;
use App\Storage\TriggerTaken;
use Closure;
use Illuminate\Support\Facades\DB;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Format\AwaitedFormat;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\OutcomeFormat;
use SilverParrot\Format\TimerFormat;
use SilverParrot\Hearing\Deeds\Deeds;
use SilverParrot\Hearing\Deeds\Edited;
use SilverParrot\Hearing\Deeds\PackEdit;
use SilverParrot\Hearing\Deeds\PackEdits;
use SilverParrot\Hearing\EffectDone;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\FromChat;
use SilverParrot\Pack\Timer;
use SilverParrot\Value\Moment;
use Throwable;

/**
 * What people change of the pack from the chat: an edition made of the one on the air plus that change alone, and put
 * into the draft too, where that has the same yet. Each is one transaction, so a kill leaves all of it or nothing, and
 * what is left waits to be carried out.
 */
final readonly class CarryOut
{
    /** What the streamer has stopped stays so, whoever changes it in the chat. */
    public const NONE_SPEAKS_AGAIN = [];

    public function __construct(
        private Editions $editions,
        private CommandRepository $commands,
        private DefinitionHistory $history,
    ) {
    }

    /**
     * @param  int|null  $epoch  of the lease under which this is done; null for a screen
     * @return array<int, EffectDone> what is known by now and not told yet, by the row’s number
     */
    public function waitingIn(int $channel, ?int $epoch): array
    {
        $done = [];
        $rows = EffectRow::query()
            ->where('channel_id', $channel)
            ->where('state', EffectState::Waiting)
            ->whereNotIn('deed', Deeds::ofService())
            ->orderBy('id')
            ->pluck('id');
        foreach ($rows as $id) {
            $this->aside(fn () => DB::transaction(function () use ($channel, $epoch, $id): void {
                $row = Channel::query()->whereKey($channel)->lockForUpdate()->first();
                $effect = $row?->effects()->whereKey($id)->lockForUpdate()->first();
                $isOurs = $row !== null && ($epoch === null || $row->lease_epoch === $epoch);
                if ($isOurs && $effect?->state === EffectState::Waiting) {
                    $this->one($row, $effect);
                }
            }));
        }
        foreach (
            EffectRow::query()
                ->where('channel_id', $channel)
                ->whereNotIn('state', [EffectState::Waiting, EffectState::Begun])
                ->whereRaw("goes_on <> '[]'")
                ->orderBy('id')
                ->get() as $effect
        ) {
            $then = AwaitedFormat::read($effect->goes_on);
            if ($then !== null) {
                $outcome = OutcomeFormat::read($effect->outcome ?? []);
                $done[$effect->id] = new EffectDone($then, $outcome, Moment::of(now()));
            }
        }

        return $done;
    }

    /**
     * What goes wrong with one stops none of the others; it waits, and is tried again with the next.
     *
     * @param  Closure(): void  $do
     */
    private function aside(Closure $do): void
    {
        try {
            $do();
        } catch (Throwable $thrown) {
            report($thrown);
        }
    }

    /** What was told is told once; nothing of who wrote what is kept for it any longer. */
    public static function told(int $channel, int $effect): void
    {
        EffectRow::query()->where('channel_id', $channel)->whereKey($effect)->update(['goes_on' => '[]']);
    }

    /** Inside the transaction that locks the channel. */
    public function one(Channel $channel, EffectRow $effect, bool $isAllowed = false): void
    {
        $edit = PackEdit::fromArray($effect->effect);
        $air = $this->editions->onAir($channel, asPublished: true);
        if ($edit === null || $air === null) {
            $this->keep($effect, EffectState::Refused, ActionDone::refused('no-deed', ['name' => $effect->deed]));

            return;
        }
        $edited = PackEdits::apply($edit, $air, Moment::of(now()));
        if ($edited instanceof ActionDone) {
            $this->keep($effect, EffectState::Refused, $edited);
        } elseif (! $isAllowed && $air->fromChat->holdsBack($edit->by)) {
            $this->ask($channel, $effect, $edited);
        } else {
            $this->carryOut($channel, $effect, $edited);
        }
    }

    private function ask(Channel $channel, EffectRow $effect, Edited $edited): void
    {
        if ($channel->effects()->where('state', EffectState::Asked)->count() >= FromChat::MOST_WAITING) {
            $this->keep($effect, EffectState::Refused, ActionDone::refused('too-many-wait', [
                'most' => FromChat::MOST_WAITING,
            ]));

            return;
        }
        $effect->fill($this->change($edited));
        $this->keep($effect, EffectState::Asked, ActionDone::refused('waits'));
    }

    private function carryOut(Channel $channel, EffectRow $effect, Edited $edited): void
    {
        $by = $effect->viewer ?? new Viewer(['id' => 0, 'login' => '', 'name' => '']);
        try {
            DB::transaction(function () use ($channel, $effect, $edited, $by): void {
                [$edited, $differs] = $this->inDraft($channel, $edited, $by);
                $edition = Editions::put($channel, $edited->pack, self::note($edited), $by, self::NONE_SPEAKS_AGAIN);
                $effect->fill($this->change($edited) + ['edition' => $edition->number, 'draft_differs' => $differs]);
            });
        } catch (TriggerTaken $taken) {
            $this->keep($effect, EffectState::Refused, ActionDone::refused('taken', ['name' => $taken->trigger]));

            return;
        } catch (CannotPublish $cannot) {
            $why = ActionDone::refused('finding', ['text' => $cannot->getMessage()]);
            $this->keep($effect, EffectState::Refused, $why);

            return;
        }
        $this->keep($effect, EffectState::Done, ActionDone::with([], $edited->outcome));
    }

    /** @return array{Edited, bool} and whether the draft differs, and was left alone */
    private function inDraft(Channel $channel, Edited $edited, User|Viewer $by): array
    {
        [$before, $after] = [$edited->before, $edited->after];
        if ($after instanceof Timer) {
            $kind = new Timers;
            $isSame = $before instanceof Timer && $kind->read($channel, $after->id) == self::document($before);
            if ($isSame) {
                $this->history->change($channel, $kind, $after->id, $by, null, static function () use (
                    $kind,
                    $channel,
                    $after,
                ): void {
                    $kind->put($channel, $after->id, TimerFormat::write($after));
                });
            }

            return [$edited, ! $isSame];
        }
        if (! $before instanceof Command) {
            // Another command of the draft may have its id already; it has one and the same in both.
            $saved = $after === null ? null : $this->commands->save($channel, null, $after, $by, null);

            return [$after === null || $saved === null ? $edited : $edited->called($saved->stable_id), false];
        }
        $row = $channel->commands()->where('stable_id', $before->id)->first();
        if ($row === null || ! self::areSame($row, $before)) {
            return [$edited, true];
        }
        $after === null
            ? $this->commands->drop($row, $by)
            : $this->commands->save($channel, $row, $after, $by, $row->revision);

        return [$edited, false];
    }

    public static function areSame(CommandRow $row, Command $command): bool
    {
        $plain = static fn (Command $one): array => array_diff_key(
            CommandFormat::write($one),
            ['expectations' => true],
        );

        return $plain(CommandRepository::toCore($row)) == $plain($command);
    }

    /** @return array<string, mixed> as a pack document has it and a database gives it back */
    public static function document(Command|Timer $one): array
    {
        $written = $one instanceof Command ? CommandFormat::write($one) : TimerFormat::write($one);
        /** @var array<string, mixed> $read */
        $read = json_decode(json_encode($written, JSON_THROW_ON_ERROR), true, flags: JSON_THROW_ON_ERROR);

        return $read;
    }

    /** @return array<string, mixed> columns */
    private function change(Edited $edited): array
    {
        $one = $edited->after ?? $edited->before;

        return [
            'kind' => $one instanceof Timer ? 'timer' : 'command',
            'subject' => $one->id ?? '',
            'before' => $edited->before === null ? null : self::document($edited->before),
            'after' => $edited->after === null ? null : self::document($edited->after),
        ];
    }

    private function keep(EffectRow $effect, EffectState $state, ActionDone $done): void
    {
        $effect->fill([
            'state' => $state,
            'outcome' => OutcomeFormat::write($done),
            // Until it is decided, it must be known what was asked for.
            ...$state === EffectState::Asked ? [] : ['effect' => []],
        ])->save();
    }

    /** Nobody is named in it: editions are for good, and people may be forgotten. */
    private static function note(Edited $edited): string
    {
        $one = $edited->after ?? $edited->before;

        return trans('deeds.note', ['what' => $one instanceof Command ? $one->trigger : $one->name ?? '']);
    }
}
