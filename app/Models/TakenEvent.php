<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\MassPrunable;
use Illuminate\Database\Eloquent\Model;

/** Keys of events that were taken: none comes again after a day. */
final class TakenEvent extends Model
{
    use MassPrunable;

    public $timestamps = false;

    protected $table = 'heard_events';

    protected $guarded = [];

    /** @return Builder<self> by whole days, channel by channel, so that the index finds them */
    public function prunable(): Builder
    {
        return $this->newQuery()->where(static function (Builder $any): void {
            $any->whereRaw('FALSE');
            foreach (Channel::query()->pluck('id') as $channel) {
                $any->orWhere(
                    static fn (Builder $of): Builder => $of
                        ->where('channel_id', $channel)
                        ->where('heard_at', '<', now('UTC')->startOfDay()->subDay()),
                );
            }
        });
    }
}
