<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\MassPrunable;
use Illuminate\Database\Eloquent\Model;

/** What was heard, said and refused, for as long as its channel keeps it. */
final class LoggedLine extends Model
{
    use MassPrunable;

    public $timestamps = false;

    protected $table = 'heard_lines';

    protected $guarded = [];

    /** @return Builder<self> by whole days, channel by channel, so that the index finds them */
    public function prunable(): Builder
    {
        return $this->newQuery()->where(static function (Builder $any): void {
            $any->whereRaw('FALSE');
            foreach (Channel::query()->pluck('keep_days', 'id') as $channel => $days) {
                $any->orWhere(
                    static fn (Builder $of): Builder => $of->where('channel_id', $channel)->where(
                        'at',
                        '<',
                        now('UTC')
                            ->startOfDay()
                            ->subDays(is_int($days) ? $days : 30),
                    ),
                );
            }
        });
    }
}
