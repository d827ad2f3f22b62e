<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\MassPrunable;
use Illuminate\Database\Eloquent\Model;

/** What the web has said; nobody takes it any more once it is too old for a source that is down. */
final class FetchedAnswer extends Model
{
    use MassPrunable;

    public $timestamps = false;

    protected $table = 'web_answers';

    protected $guarded = [];

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return $this
            ->newQuery()
            ->whereIn('channel_id', Channel::query()->select('id'))
            ->where('kept_until', '<', now('UTC'));
    }
}
