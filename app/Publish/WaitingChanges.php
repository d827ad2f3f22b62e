<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\DefinitionChange;
use App\Storage\Assembler;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use SilverParrot\Format\Difference;
use SilverParrot\Format\Differences;

/** What of the draft is not on the air yet; looked at once for as long as neither changes. */
final readonly class WaitingChanges
{
    private const DAYS = 7;

    public function __construct(private Repository $cache, private Assembler $assembler, private Editions $editions)
    {
    }

    /** @return list<string> ids of commands that differ; one that is empty for what belongs to no command */
    public function in(Channel $channel): array
    {
        $stamp = implode(' ', [
            $channel->edition_on_air ?? 0,
            self::last($channel->changes()),
            self::last(DefinitionChange::query()->where('channel_id', $channel->id)),
            implode(',', [$channel->facts()->count(), $channel->listItems()->count(), $channel->counters()->count()]),
        ]);

        $kept = $this->cache->get("waiting {$channel->id}");
        if (is_array($kept) && ($kept['stamp'] ?? '') === $stamp && is_array($kept['ids'] ?? null)) {
            return array_values(array_filter($kept['ids'], is_string(...)));
        }
        $ids = array_map(
            static fn (Difference $one): string => $one->id,
            Differences::between(
                $this->editions->onAir($channel, asPublished: true),
                $this->assembler->document($channel),
            ),
        );
        // One row for a channel, however often it is saved.
        $this->cache->put("waiting {$channel->id}", ['stamp' => $stamp, 'ids' => $ids], now()->addDays(self::DAYS));

        return $ids;
    }

    /** @param  Builder<covariant Model>|HasMany<covariant Model, Channel>  $of */
    private static function last(Builder|HasMany $of): int
    {
        $last = $of->max('id');

        return is_int($last) ? $last : 0;
    }
}
