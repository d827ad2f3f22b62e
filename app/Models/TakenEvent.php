<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** Keys of events that were taken: none comes again after a day. */
final class TakenEvent extends Model
{
    use ForgottenByDays;

    public $timestamps = false;

    protected $table = 'heard_events';

    protected $guarded = [];

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return $this->olderThanKept('heard_at', 1);
    }
}
