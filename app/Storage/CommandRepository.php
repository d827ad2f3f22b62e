<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Casts\AsGates;
use App\Models\Casts\AsSteps;
use App\Models\Channel;
use App\Models\CommandAlias;
use App\Models\CommandChange;
use App\Models\CommandResponseRow;
use App\Models\CommandRow;
use App\Models\ExpectationRow;
use App\Models\User;
use App\Models\Viewer;
use App\Wording\Sentences;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\PhraseFormat;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\ResponseDraw;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Fold;

/** Commands as rows: from the core, to the core, each change with its history. */
final class CommandRepository
{
    /** Commands that are read together. */
    private const AT_ONCE = 200;

    public function __construct(private readonly Sentences $sentences)
    {
    }

    public static function toCore(CommandRow $row): Command
    {
        return new Command(
            new Triggers(
                $row->trigger,
                array_values($row->aliases->map(static fn (CommandAlias $one): string => $one->alias)->all()),
                array_map(PhraseFormat::read(...), Document::of($row->phrases)->items(Phrase::MOST)),
                $row->name_only,
            ),
            array_values(
                $row->responses
                    ->map(
                        static fn (CommandResponseRow $one): CommandResponse => new CommandResponse(
                            $one->steps,
                            $one->weight,
                            $one->stable_id,
                            $one->gates,
                        ),
                    )
                    ->all(),
            ),
            $row->gates,
            $row->refusals,
            $row->if_it_fails,
            new Delivery($row->voice, $row->place),
            new CommandMetadata(
                $row->group,
                $row->note,
                $row->listed,
                array_values($row->expectations->map(static fn (ExpectationRow $one) => $one->document)->all()),
            ),
            $row->stable_id,
            $row->draw_order,
        );
    }

    /**
     * @param  int|null  $seen  the revision that the person had before them; null for a new command
     * @param  string  $batch  that it is saved in; empty for one by itself
     *
     * @throws StaleRevision when somebody else has saved since
     * @throws TriggerTaken when another command has a trigger
     */
    public function save(
        Channel $channel,
        ?CommandRow $row,
        Command $command,
        User|Viewer $by,
        ?int $seen,
        string $batch = '',
    ): CommandRow {
        return DB::transaction(function () use ($channel, $row, $command, $by, $seen, $batch): CommandRow {
            // The channel's row first: one writer of definitions at a time, so what is looked at stays so.
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $current =
                $row === null
                    ? null
                    : $channel
                        ->commands()
                        ->with(['aliases', 'responses', 'expectations'])
                        ->whereKey($row->id)
                        ->lockForUpdate()
                        ->first();
            if ($row !== null && ($current === null || $current->revision !== $seen)) {
                throw new StaleRevision($current);
            }

            return $this->put($channel, $current, $command, $by, $batch);
        });
    }

    /**
     * Where the channel is locked, and the row is as it is now.
     *
     * @throws TriggerTaken when another command has a trigger
     */
    private function put(
        Channel $channel,
        ?CommandRow $current,
        Command $command,
        User|Viewer $by,
        string $batch,
    ): CommandRow {
        $was = $current === null ? null : self::toCore($current);
        if ($was === null || $was->triggers != $command->triggers) {
            $this->mustBeFree($channel, $command, $current);
        }
        $before = $was === null ? null : CommandFormat::write($was);
        $command = self::identified($channel, $command, $current);
        $saved = $current ?? new CommandRow(['channel_id' => $channel->id, 'revision' => 0]);
        $saved->fill($this->columns($command))->fill(['revision' => $saved->revision + 1])->save();
        if ($was === null || $was->triggers != $command->triggers || $was->responses != $command->responses) {
            $this->replaceParts($saved, $command);
        }
        if ($was !== null && $was->triggers != $command->triggers) {
            $this->renameInExpectations($saved, $was->triggers, $command->triggers);
        }
        CommandChange::query()->create([
            'channel_id' => $channel->id,
            ...ChangedBy::columns($by),
            'command_id' => $saved->id,
            'kind' => $before === null ? 'made' : 'saved',
            'before' => $before,
            'after' => CommandFormat::write($command),
            'batch' => $batch,
        ]);

        return $saved;
    }

    /**
     * New commands, all of them or none.
     *
     * @param  list<Command>  $commands
     * @return string by which they can be taken back together
     *
     * @throws TriggerTaken when another command has a trigger
     */
    public function saveAll(Channel $channel, array $commands, User $by): string
    {
        $batch = (string) Str::ulid();
        DB::transaction(function () use ($channel, $commands, $by, $batch): void {
            foreach ($commands as $command) {
                $this->save($channel, null, $command, $by, null, $batch);
            }
        });

        return $batch;
    }

    /**
     * One change of several commands, all of them or none; those that it leaves as they are stay out of it.
     *
     * @param  list<int>  $ids  of rows of the channel
     * @param  Closure(Command): ?Command  $change  null deletes
     * @return array{string, int} by which it can be taken back, and how many were changed
     */
    public function changeAll(Channel $channel, array $ids, Closure $change, User $by): array
    {
        $batch = (string) Str::ulid();
        $count = DB::transaction(function () use ($channel, $ids, $change, $by, $batch): int {
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $count = 0;
            foreach (array_chunk($ids, self::AT_ONCE) as $some) {
                $rows = $channel
                    ->commands()
                    ->with(['aliases', 'responses', 'expectations'])
                    ->whereIn('id', $some)
                    ->orderBy('id')
                    ->lockForUpdate()
                    ->get();
                foreach ($rows as $row) {
                    $was = self::toCore($row);
                    $then = $change($was);
                    if ($then === null) {
                        $this->drop($row, $by, $batch);
                    } elseif ($then != $was) {
                        $this->put($channel, $row, $then, $by, $batch);
                    } else {
                        continue;
                    }
                    $count++;
                }
            }

            return $count;
        });

        return [$batch, $count];
    }

    /**
     * Takes back what was saved together, the last first; what somebody changed since stays.
     *
     * @return array{int, int} how many are as they were, and how many stay
     */
    public function undoAll(Channel $channel, string $batch, User $by): array
    {
        return DB::transaction(function () use ($channel, $batch, $by): array {
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $done = $stay = 0;
            foreach (
                $channel
                    ->changes()
                    ->where('batch', $batch)
                    ->whereNull('undone_at')
                    ->orderByDesc('id')
                    ->get() as $change
            ) {
                $isBack = $this->undoOne($channel, $change, $by);
                $done += $isBack === true ? 1 : 0;
                $stay += $isBack === false ? 1 : 0;
            }

            return [$done, $stay];
        });
    }

    /** @return bool|null null where it is so already: what was made is deleted by now */
    private function undoOne(Channel $channel, CommandChange $change, User $by): ?bool
    {
        try {
            if ($change->kind === 'dropped') {
                return $this->undoDrop($channel, $change, $by) !== null;
            }
            $row = $channel->commands()->whereKey($change->command_id)->first();
            // What is expected of it is no part of what was saved.
            $plain = static fn (?array $command): array => array_diff_key($command ?? [], ['expectations' => true]);
            if ($row === null && $change->before === null) {
                return null;
            }
            if ($row === null || $plain(CommandFormat::write(self::toCore($row))) != $plain($change->after)) {
                return false;
            }
            $change->before === null
                ? $this->drop($row, $by)
                : $this->save($channel, $row, CommandFormat::read(Document::of($change->before)), $by, $row->revision);
            $change->update(['undone_at' => now()]);

            return true;
        } catch (TriggerTaken) {
            return false;
        }
    }

    public function drop(CommandRow $row, User|Viewer $by, string $batch = ''): CommandChange
    {
        return DB::transaction(function () use ($row, $by, $batch): CommandChange {
            $before = CommandFormat::write(self::toCore($row->load(['aliases', 'responses', 'expectations'])));
            $row->delete();

            return CommandChange::query()->create([
                'channel_id' => $row->channel_id,
                ...ChangedBy::columns($by),
                'command_id' => $row->id,
                'kind' => 'dropped',
                'before' => $before,
                'batch' => $batch,
            ]);
        });
    }

    /**
     * Brings a dropped command back as it was, its expectations too.
     *
     * @throws TriggerTaken when another command has its trigger now; it can still be brought back later
     */
    public function undoDrop(Channel $channel, CommandChange $change, User|Viewer $by): ?CommandRow
    {
        if ($change->kind !== 'dropped') {
            return null;
        }

        return DB::transaction(function () use ($channel, $change, $by): ?CommandRow {
            $isTaken =
                $channel
                    ->changes()
                    ->whereKey($change->id)
                    ->whereNull('undone_at')
                    ->update(['undone_at' => now()]) !== 1;
            if ($isTaken) {
                return null;
            }
            $command = CommandFormat::read(Document::of($change->before ?? []));
            $row = $this->save($channel, null, $command, $by, null);
            foreach ($command->about->expectations as $expectation) {
                $this->expect($row, $expectation);
            }

            return $row;
        });
    }

    public function expect(CommandRow $row, Expectation $expectation): ExpectationRow
    {
        return $row->expectations()->create(['channel_id' => $row->channel_id, 'document' => $expectation]);
    }

    /** What was kept as right goes on being asked of this command under the name it has now. */
    private function renameInExpectations(CommandRow $row, Triggers $from, Triggers $to): void
    {
        foreach ($row->expectations()->get() as $expectation) {
            $renamed = TriggerMatch::renamed($expectation->document->line, $from, $to);
            if ($renamed !== $expectation->document->line) {
                $expectation->update(['document' => $expectation->document->asking($renamed)]);
            }
        }
    }

    /**
     * The id stays for good; a new command keeps its own, as when it is brought from a document, unless another has it.
     */
    private static function identified(Channel $channel, Command $command, ?CommandRow $current): Command
    {
        if ($current !== null) {
            return $command->called($current->stable_id);
        }

        return $channel->commands()->where('stable_id', $command->id)->exists()
            ? $command->called(Str::lower((string) Str::ulid()))
            : $command;
    }

    private function mustBeFree(Channel $channel, Command $command, ?CommandRow $own): void
    {
        $taken = self::taken($channel, $command, $own);
        if ($taken !== null) {
            throw new TriggerTaken($taken instanceof CommandRow ? $taken->trigger : $taken->alias);
        }
    }

    /** @return CommandRow|CommandAlias|null another command, or its alias, that has one of these triggers */
    public static function taken(Channel $channel, Command $command, ?CommandRow $own): CommandRow|CommandAlias|null
    {
        // A name is nobody else’s either: lists and findings call commands by it.
        $folded = array_map(Fold::caseless(...), [$command->trigger, ...$command->triggers->aliases]);

        return $channel
            ->commands()
            ->whereIn('trigger_folded', $folded)
            ->when($own !== null, fn ($query) => $query->whereKeyNot($own?->id))
            ->first()
            ?? $channel
                ->aliases()
                ->whereIn('alias_folded', $folded)
                ->when($own !== null, fn ($query) => $query->where('command_id', '!=', $own?->id))
                ->first();
    }

    /** @return array<string, mixed> */
    private function columns(Command $command): array
    {
        return [
            'stable_id' => $command->id,
            'trigger' => $command->trigger,
            'trigger_folded' => Fold::caseless($command->trigger),
            'name_only' => $command->triggers->isNameOnly,
            'phrases' => array_map(PhraseFormat::write(...), $command->triggers->phrases),
            'gates' => $command->gates,
            'draw_order' => $command->order,
            'refusals' => (object) $command->refusals,
            'if_it_fails' => $command->ifItFails,
            'listed' => $command->about->listed,
            'group' => $command->about->group,
            'note' => $command->about->note,
            'voice' => $command->delivery->voice,
            'place' => $command->delivery->place,
            'findable' => Fold::caseless(
                implode("\n", [
                    $command->trigger,
                    ...$command->triggers->aliases,
                    ...array_column($command->triggers->phrases, 'text'),
                    $command->about->group,
                    $command->about->note,
                    ...array_values($command->sources()),
                    $this->sentences->summary(CommandSummary::of($command)),
                ]),
            ),
        ];
    }

    private function replaceParts(CommandRow $row, Command $command): void
    {
        $row->aliases()->delete();
        $row->responses()->delete();
        $owner = ['channel_id' => $row->channel_id, 'command_id' => $row->id];
        CommandAlias::query()->insert(
            array_map(
                static fn (string $alias, int $position): array => $owner + [
                    'position' => $position,
                    'alias' => $alias,
                    'alias_folded' => Fold::caseless($alias),
                ],
                $command->triggers->aliases,
                array_keys($command->triggers->aliases),
            ),
        );
        CommandResponseRow::query()->insert(
            array_map(
                static fn (CommandResponse $one, int $position): array => $owner + [
                    'position' => $position,
                    'stable_id' => $one->id,
                    'weight' => $one->weight,
                    'gates' => AsGates::write($one->gates, ResponseDraw::CONDITIONS),
                    'steps' => AsSteps::write($one->steps),
                ],
                $command->responses,
                array_keys($command->responses),
            ),
        );
        $row->unsetRelations();
    }
}
