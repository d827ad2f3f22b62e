<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use App\Models\DefinitionChange;
use App\Models\User;
use App\Models\Viewer;
use App\Storage\ChangedBy;
use App\Storage\Definitions\Named\NamedDefinition;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Every change of what is no command: who, what it was before and after, and taking it back. */
final class DefinitionHistory
{
    /** @return list<Definition> */
    public static function kinds(): array
    {
        return [
            new Emotes,
            new FloodLimits,
            new RefusalReplies,
            new FromChatRules,
            new RegularRules,
            new QuoteHabits,
            new EarningRules,
            new Timers,
            new Scripts,
            new Talkers,
            new Lookups,
            new Ladders,
            new StreamPlans,
            new LiveAddresses,
            new Members,
            new Connection,
            new Keeping,
            new Cast,
            ...NamedDefinition::all(),
        ];
    }

    public static function kind(string $key): ?Definition
    {
        return array_values(array_filter(self::kinds(), static fn (Definition $one): bool => $one->key() === $key))[0]
            ?? null;
    }

    /** @return int what a form keeps, to tell whether somebody changed it meanwhile; 0 before the first change */
    public static function revision(Channel $channel, Definition $kind): int
    {
        return DefinitionChange::query()
            ->where('channel_id', $channel->id)
            ->where('kind', $kind->key())
            ->orderByDesc('id')
            ->first()->id ?? 0;
    }

    /**
     * @template T
     *
     * @param  int|null  $seen  the revision that the person had before them; null where two cannot be in each other's
     *     way
     * @param  Closure(): T  $do
     * @param  array<string, mixed>|null  $was  what it was before as something else, if it was; put() makes that of it
     *     again
     * @return T
     *
     * @throws ChangedMeanwhile
     */
    public function change(
        Channel $channel,
        Definition $kind,
        string $subject,
        User|Viewer $by,
        ?int $seen,
        Closure $do,
        ?array $was = null,
    ): mixed {
        return DB::transaction(function () use ($channel, $kind, $subject, $by, $seen, $do, $was): mixed {
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            if ($seen !== null && $seen !== self::revision($channel, $kind)) {
                throw new ChangedMeanwhile($kind);
            }
            $before = $kind->read($channel->refresh(), $subject) ?? $was;
            $done = $do();
            $after = $kind->read($channel->refresh(), $subject);
            if ($before != $after) {
                DefinitionChange::query()->create([
                    'channel_id' => $channel->id,
                    ...ChangedBy::columns($by),
                    'kind' => $kind->key(),
                    'subject' => $subject,
                    'before' => $before,
                    'after' => $after,
                ]);
            }

            return $done;
        });
    }

    /** Something that has its number from the database, and was there before it could be told. */
    public function made(Channel $channel, Definition $kind, string $subject, User $by): void
    {
        DefinitionChange::query()->create([
            'channel_id' => $channel->id,
            'user_id' => $by->id,
            'kind' => $kind->key(),
            'subject' => $subject,
            'before' => null,
            'after' => $kind->read($channel, $subject),
        ]);
    }

    /** @return bool whether it was taken back; not where it has changed again since */
    public function undo(Channel $channel, DefinitionChange $change, User $by): bool
    {
        $kind = self::kind($change->kind);

        return $kind !== null
            && $this->change($channel, $kind, $change->subject, $by, null, static function () use (
                $channel,
                $kind,
                $change,
            ): bool {
                $fresh = DefinitionChange::query()
                    ->whereKey($change->id)
                    ->where('channel_id', $channel->id)
                    ->whereNull('undone_at')
                    ->first();
                if ($fresh === null || $kind->read($channel, $change->subject) != $change->after) {
                    return false;
                }
                $kind->put($channel, $change->subject, $change->before);

                return $fresh->update(['undone_at' => now()]);
            });
    }

    /** @return Collection<int, DefinitionChange> the last ones, newest first */
    public static function last(Channel $channel, Definition $kind, int $most = 5): Collection
    {
        return DefinitionChange::query()
            ->with('user')
            ->where('channel_id', $channel->id)
            ->where('kind', $kind->key())
            ->orderByDesc('id')
            ->limit($most)
            ->get();
    }
}
