<?php

declare(strict_types=1);

namespace App\Publish\FromChat;

use App\Models\Channel;
use App\Models\EffectRow;
use App\Models\User;
use App\Publish\Editions;
use App\Storage\CommandRepository;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Timers;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\TimerFormat;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;

/** What was changed in the chat is put back, on the air and in the draft, as far as nothing has changed it since. */
final readonly class UndoEffect
{
    public function __construct(
        private Editions $editions,
        private CommandRepository $commands,
        private DefinitionHistory $history,
        private UndoOnStream $stream,
    ) {
    }

    /** @return string what to tell of it */
    public function __invoke(Channel $channel, EffectRow $effect, User $by): string
    {
        if ($effect->kind === 'stream') {
            return $this->stream->undo($channel, $effect);
        }

        return Editions::locked($channel, function () use ($channel, $effect, $by): string {
            $effect = $channel->effects()->whereKey($effect->id)->lockForUpdate()->first();
            $air = $this->editions->onAir($channel->refresh(), asPublished: true);
            if ($air === null || $effect?->state !== EffectState::Done || $effect->undone_at !== null) {
                return 'That was taken back already.';
            }
            $then = $effect->kind === 'timer'
                ? self::withTimer($air, $effect)
                : self::withCommand($air, $effect);
            if ($then === null) {
                return 'It was changed again since, so it stays; change it by hand.';
            }
            Editions::put(
                $channel,
                $then,
                trans('deeds.undone', ['deed' => $effect->deed]),
                $by,
                CarryOut::NONE_SPEAKS_AGAIN,
            );
            $isInDraft = $effect->kind === 'timer'
                ? $this->timerInDraft($channel, $effect, $by)
                : $this->commandInDraft($channel, $effect, $by);
            $effect->update(['undone_at' => now(), 'seen_at' => now()]);

            return $isInDraft
                ? 'Taken back, on the air and in the draft.'
                : 'Taken back on the air; the draft differs, and stays as it is.';
        });
    }

    private static function withCommand(Pack $air, EffectRow $effect): ?Pack
    {
        $now = $air->byId($effect->subject);
        $isAsThen = $effect->after === null
            ? $now === null
            : $now !== null && CarryOut::document($now) == $effect->after;
        $before = self::command($effect->before);
        $isTaken = $before !== null && array_filter(
            $before->triggers->all(),
            static fn (string $one): bool => ($other = $air->command($one)) !== null && $other->id !== $before->id,
        ) !== [];
        if (! $isAsThen || $isTaken) {
            return null;
        }
        $others = array_filter($air->commands, static fn (Command $one): bool => $one !== $now);

        return $air->withCommands([...array_values($others), ...$before === null ? [] : [$before]]);
    }

    private static function withTimer(Pack $air, EffectRow $effect): ?Pack
    {
        $before = TimerFormat::read(Document::of($effect->before ?? []));
        $isAsThen = false;
        $timers = [];
        foreach ($air->timers as $timer) {
            $isThis = $timer->id === $effect->subject && CarryOut::document($timer) == $effect->after;
            $isAsThen = $isAsThen || $isThis;
            $timers[] = $isThis ? $before : $timer;
        }

        return $isAsThen ? $air->withTimers($timers) : null;
    }

    /** @return bool whether the draft had it as well */
    private function commandInDraft(Channel $channel, EffectRow $effect, User $by): bool
    {
        $row = $channel->commands()->where('stable_id', $effect->subject)->first();
        $after = self::command($effect->after);
        $isSame = $row === null ? $after === null : $after !== null && CarryOut::areSame($row, $after);
        $before = self::command($effect->before);
        if (! $isSame || ($before !== null && CommandRepository::taken($channel, $before, $row) !== null)) {
            return false;
        }
        if ($before !== null) {
            $saved = $this->commands->save($channel, $row, $before, $by, $row?->revision);
            foreach ($row === null ? $before->about->expectations : [] as $expectation) {
                $this->commands->expect($saved, $expectation);
            }
        } elseif ($row !== null) {
            $this->commands->drop($row, $by);
        }

        return true;
    }

    private function timerInDraft(Channel $channel, EffectRow $effect, User $by): bool
    {
        $kind = new Timers;
        // Both as they were read from a database.
        if ($kind->read($channel, $effect->subject) != $effect->after) {
            return false;
        }
        $this->history->change($channel, $kind, $effect->subject, $by, null, static function () use (
            $kind,
            $channel,
            $effect,
        ): void {
            $kind->put($channel, $effect->subject, $effect->before);
        });

        return true;
    }

    /** @param  array<string, mixed>|null  $document */
    private static function command(?array $document): ?Command
    {
        return $document === null ? null : CommandFormat::read(Document::of($document));
    }
}
