<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Change;
use App\Models\Channel;
use App\Models\Command as Row;
use App\Models\CommandAlias;
use App\Models\CommandResponse;
use App\Models\Expectation as ExpectationRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Hearing\InOneSentence;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Format\CommandFormat;
use SilverParrot\Pack\Format\Document;
use SilverParrot\Pack\Format\ExpectationFormat;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Fold;

/** Commands as rows: from the core, to the core, each change with its history. */
final class CommandRows
{
    public static function toCore(Row $row): Command
    {
        return new Command(
            $row->trigger,
            array_values($row->responses->map(static fn (CommandResponse $one): WeightedText => new WeightedText($one->text, $one->weight))->all()),
            array_values($row->aliases->map(static fn (CommandAlias $one): string => $one->alias)->all()),
            new LevelRule(Assembler::levels($row->any_of), $row->at_least === null ? null : Level::named($row->at_least)),
            $row->channel_cooldown,
            $row->person_cooldown,
            $row->level_refusal,
            $row->cooldown_refusal,
            $row->if_it_fails,
            $row->enabled,
            $row->listed,
            $row->group,
            $row->note,
            $row->voice,
            $row->place,
            array_values(array_filter($row->expectations->map(self::expectation(...))->all())),
        );
    }

    public static function expectation(ExpectationRow $row): ?Expectation
    {
        $document = Document::parse(json_encode($row->document, JSON_THROW_ON_ERROR));

        return is_array($document) ? null : ExpectationFormat::read($document);
    }

    /**
     * @param  int|null  $seen  the revision that the person had before them; null for a new command
     *
     * @throws SavedMeanwhile when somebody else has saved since
     * @throws TriggerTaken when another command has a trigger
     */
    public function save(Channel $channel, ?Row $row, Command $command, User $by, ?int $seen): Row
    {
        return DB::transaction(function () use ($channel, $row, $command, $by, $seen): Row {
            // The channel's row first: one writer of definitions at a time, so what is looked at stays so.
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $current = $row === null ? null : $channel->commands()->with(['aliases', 'responses', 'expectations'])->whereKey($row->id)->lockForUpdate()->first();
            if ($row !== null && ($current === null || $current->revision !== $seen)) {
                throw new SavedMeanwhile($current);
            }
            $this->mustBeFree($channel, $command, $current);
            $before = $current === null ? null : CommandFormat::write(self::toCore($current));
            $saved = $current ?? new Row(['channel_id' => $channel->id, 'revision' => 0]);
            $saved->fill(self::columns($command))->fill(['revision' => $saved->revision + 1])->save();
            $this->replaceParts($saved, $command);
            Change::query()->create(['channel_id' => $channel->id, 'user_id' => $by->id, 'command_id' => $saved->id, 'kind' => $before === null ? 'made' : 'saved', 'before' => $before, 'after' => CommandFormat::write($command)]);

            return $saved;
        });
    }

    public function drop(Row $row, User $by): Change
    {
        return DB::transaction(function () use ($row, $by): Change {
            $before = CommandFormat::write(self::toCore($row->load(['aliases', 'responses', 'expectations'])));
            $row->delete();

            return Change::query()->create(['channel_id' => $row->channel_id, 'user_id' => $by->id, 'command_id' => $row->id, 'kind' => 'dropped', 'before' => $before]);
        });
    }

    /** Brings a dropped command back as it was, its expectations too. */
    public function undoDrop(Channel $channel, Change $change, User $by): ?Row
    {
        $document = Document::parse(json_encode($change->before ?? [], JSON_THROW_ON_ERROR));
        if ($change->kind !== 'dropped' || is_array($document) || $channel->changes()->whereKey($change->id)->whereNull('undone_at')->update(['undone_at' => now()]) !== 1) {
            return null;
        }
        $command = CommandFormat::read($document);
        $row = $this->save($channel, null, $command, $by, null);
        foreach ($command->expectations as $expectation) {
            $this->expect($row, $expectation);
        }

        return $row;
    }

    public function expect(Row $row, Expectation $expectation): ExpectationRow
    {
        return ExpectationRow::query()->create(['channel_id' => $row->channel_id, 'command_id' => $row->id, 'document' => ExpectationFormat::write($expectation)]);
    }

    private function mustBeFree(Channel $channel, Command $command, ?Row $own): void
    {
        $folded = array_map(Fold::caseless(...), $command->triggers());
        $taken = $channel->commands()->whereIn('trigger_folded', $folded)->when($own !== null, fn ($query) => $query->whereKeyNot($own?->id))->first()
            ?? $channel->aliases()->whereIn('alias_folded', $folded)->when($own !== null, fn ($query) => $query->where('command_id', '!=', $own?->id))->first();
        if ($taken !== null) {
            throw new TriggerTaken($taken instanceof Row ? $taken->trigger : $taken->alias);
        }
    }

    /** @return array<string, mixed> */
    private static function columns(Command $command): array
    {
        return [
            'trigger' => $command->trigger,
            'trigger_folded' => Fold::caseless($command->trigger),
            'any_of' => array_map(static fn (Level $level): string => $level->word(), $command->levels->anyOf),
            'at_least' => $command->levels->atLeast?->word(),
            'channel_cooldown' => $command->channelCooldown,
            'person_cooldown' => $command->personCooldown,
            'level_refusal' => $command->levelRefusal,
            'cooldown_refusal' => $command->cooldownRefusal,
            'if_it_fails' => $command->ifItFails,
            'enabled' => $command->enabled,
            'listed' => $command->listed,
            'group' => $command->group,
            'note' => $command->note,
            'voice' => $command->voice,
            'place' => $command->place,
            'findable' => Fold::caseless(implode("\n", [...$command->triggers(), $command->group, $command->note, ...array_values($command->sources()), InOneSentence::of($command)])),
        ];
    }

    private function replaceParts(Row $row, Command $command): void
    {
        $row->aliases()->delete();
        $row->responses()->delete();
        $owner = ['channel_id' => $row->channel_id, 'command_id' => $row->id];
        CommandAlias::query()->insert(array_map(static fn (string $alias, int $position): array => $owner + ['position' => $position, 'alias' => $alias, 'alias_folded' => Fold::caseless($alias)], $command->aliases, array_keys($command->aliases)));
        CommandResponse::query()->insert(array_map(static fn (WeightedText $one, int $position): array => $owner + ['position' => $position, 'text' => $one->text, 'weight' => $one->weight], $command->responses, array_keys($command->responses)));
        $row->unsetRelations();
    }
}
