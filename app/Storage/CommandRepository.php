<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Casts\AsSteps;
use App\Models\Channel;
use App\Models\CommandAlias;
use App\Models\CommandChange;
use App\Models\CommandResponseRow;
use App\Models\CommandRow;
use App\Models\ExpectationRow;
use App\Models\User;
use App\Wording\Sentences;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Fold;

/** Commands as rows: from the core, to the core, each change with its history. */
final class CommandRepository
{
    public function __construct(private readonly Sentences $sentences)
    {
    }

    public static function toCore(CommandRow $row): Command
    {
        return new Command(
            new Triggers(
                $row->trigger,
                array_values($row->aliases->map(static fn (CommandAlias $one): string => $one->alias)->all()),
            ),
            array_values(
                $row->responses
                    ->map(
                        static fn (CommandResponseRow $one): CommandResponse => new CommandResponse(
                            $one->steps,
                            $one->weight,
                            $one->stable_id,
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
        User $by,
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
            $this->mustBeFree($channel, $command, $current);
            $was = $current === null ? null : self::toCore($current);
            $before = $was === null ? null : CommandFormat::write($was);
            $command = self::identified($channel, $command, $current);
            $saved = $current ?? new CommandRow(['channel_id' => $channel->id, 'revision' => 0]);
            $saved->fill($this->columns($command))->fill(['revision' => $saved->revision + 1])->save();
            $this->replaceParts($saved, $command);
            if ($was !== null) {
                $this->renameInExpectations($saved, $was->triggers, $command->triggers);
            }
            CommandChange::query()->create([
                'channel_id' => $channel->id,
                'user_id' => $by->id,
                'command_id' => $saved->id,
                'kind' => $before === null ? 'made' : 'saved',
                'before' => $before,
                'after' => CommandFormat::write($command),
                'batch' => $batch,
            ]);

            return $saved;
        });
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
     * Takes new commands back that were saved together; those that somebody changed since stay.
     *
     * @return array{int, int} how many were deleted, and how many stay
     */
    public function undoAll(Channel $channel, string $batch, User $by): array
    {
        return DB::transaction(function () use ($channel, $batch, $by): array {
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $made = $channel->changes()->where('batch', $batch)->where('kind', 'made')->select('command_id');
            $rows = $channel->commands()->whereIn('id', $made)->get();
            $own = $rows->where('revision', 1);
            foreach ($own as $row) {
                $this->drop($row, $by);
            }

            return [$own->count(), $rows->count() - $own->count()];
        });
    }

    public function drop(CommandRow $row, User $by): CommandChange
    {
        return DB::transaction(function () use ($row, $by): CommandChange {
            $before = CommandFormat::write(self::toCore($row->load(['aliases', 'responses', 'expectations'])));
            $row->delete();

            return CommandChange::query()->create([
                'channel_id' => $row->channel_id,
                'user_id' => $by->id,
                'command_id' => $row->id,
                'kind' => 'dropped',
                'before' => $before,
            ]);
        });
    }

    /**
     * Brings a dropped command back as it was, its expectations too.
     *
     * @throws TriggerTaken when another command has its trigger now; it can still be brought back later
     */
    public function undoDrop(Channel $channel, CommandChange $change, User $by): ?CommandRow
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
        foreach ($row->expectations as $expectation) {
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
        $folded = array_map(Fold::caseless(...), $command->triggers->all());

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
            'gates' => $command->gates,
            'refusals' => (object) array_filter($command->refusals, static fn (string $text): bool => $text !== ''),
            'if_it_fails' => $command->ifItFails,
            'listed' => $command->about->listed,
            'group' => $command->about->group,
            'note' => $command->about->note,
            'voice' => $command->delivery->voice,
            'place' => $command->delivery->place,
            'findable' => Fold::caseless(
                implode("\n", [
                    ...$command->triggers->all(),
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
                    'steps' => AsSteps::write($one->steps),
                ],
                $command->responses,
                array_keys($command->responses),
            ),
        );
        $row->unsetRelations();
    }
}
