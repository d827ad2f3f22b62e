<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\MassPrunable;

/** Rows that are forgotten by whole days, channel by channel, so that an index finds them. */
trait ForgottenByDays
{
    use MassPrunable;

    /**
     * @param  string  $moment  the column that says when
     * @param  int|null  $days  for how many they are kept; null for as many as their channel keeps lines
     * @return Builder<static>
     */
    private function olderThanKept(string $moment, ?int $days = null): Builder
    {
        return $this->newQuery()->where(static function (Builder $any) use ($moment, $days): void {
            $any->whereRaw('FALSE');
            foreach (Channel::query()->get(['id', 'keep_days']) as $channel) {
                $until = now('UTC')->startOfDay()->subDays($days ?? $channel->keep_days);
                $any->orWhere(
                    static fn (Builder $of): Builder => $of
                        ->where('channel_id', $channel->id)
                        ->where($moment, '<', $until),
                );
            }
        });
    }
}
