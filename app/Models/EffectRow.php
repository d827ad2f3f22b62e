<?php

declare(strict_types=1);

namespace App\Models;

use App\Publish\FromChat\EffectState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What somebody brings about from the chat, and what came of it.
 *
 * @property int $id
 * @property int $channel_id
 * @property string $event_key
 * @property EffectState $state
 * @property array<array-key, mixed> $effect
 * @property array<array-key, mixed> $goes_on
 * @property array<array-key, mixed>|null $outcome
 * @property string $deed
 * @property string $kind "command", "timer", "stream"; empty where nothing was changed
 * @property string $subject its id; of a stream, what was set
 * @property array<string, mixed>|null $before as the pack document writes it
 * @property array<string, mixed>|null $after
 * @property bool $draft_differs whether the draft had another text already, and was left alone
 * @property int|null $edition
 * @property Carbon $asked_at
 * @property Carbon|null $seen_at when somebody looked at it
 * @property Carbon|null $undone_at
 * @property Viewer|null $viewer
 */
final class EffectRow extends Model
{
    use ForgottenByDays;
    use OfAChannel;

    public $timestamps = false;

    protected $table = 'effects';

    protected $guarded = [];

    protected $casts = [
        'state' => EffectState::class,
        'effect' => 'array',
        'goes_on' => 'array',
        'outcome' => 'array',
        'before' => 'array',
        'after' => 'array',
        'draft_differs' => 'boolean',
        'asked_at' => 'datetime',
        'seen_at' => 'datetime',
        'undone_at' => 'datetime',
    ];

    /** @return BelongsTo<Viewer, $this> */
    public function viewer(): BelongsTo
    {
        return $this->belongsTo(Viewer::class, 'by_viewer_id');
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> what was done and nobody has looked at, and what waits for a yes
     */
    public function scopeToLookAt(Builder $query): Builder
    {
        return $query->whereNull('seen_at')->whereIn('state', [EffectState::Done, EffectState::Asked]);
    }

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return $this->olderThanKept('asked_at')->whereNotIn('state', [
            EffectState::Waiting,
            EffectState::Begun,
            EffectState::Asked,
        ]);
    }
}
