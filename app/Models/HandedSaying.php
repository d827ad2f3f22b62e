<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * What was handed to the chat or given up, for as long as its channel keeps lines; what is queued is not forgotten.
 *
 * @property string $text
 * @property string $state queued, handed, stale or dropped
 * @property CarbonImmutable|null $handed_at
 */
final class HandedSaying extends Model
{
    use ForgottenByDays;

    public $timestamps = false;

    protected $table = 'outgoing';

    protected $guarded = [];

    protected $casts = ['handed_at' => 'immutable_datetime'];

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return $this->olderThanKept('queued_at')->where('state', '!=', 'queued');
    }
}
