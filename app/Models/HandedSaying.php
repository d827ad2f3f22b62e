<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** What was handed to the chat or given up, for as long as its channel keeps lines; what is queued is not forgotten. */
final class HandedSaying extends Model
{
    use ForgottenByDays;

    public $timestamps = false;

    protected $table = 'outgoing';

    protected $guarded = [];

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return $this->olderThanKept('queued_at')->where('state', '!=', 'queued');
    }
}
