<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One change of what is no command.
 *
 * @property int $id
 * @property int $channel_id
 * @property string $kind
 * @property string $subject
 * @property array<string, mixed>|null $before
 * @property array<string, mixed>|null $after
 * @property Carbon|null $undone_at
 * @property Carbon|null $created_at
 * @property User|null $user
 * @property Viewer|null $viewer who changed it in the chat
 */
final class DefinitionChange extends Model
{
    use OfAChannel;

    protected $guarded = [];

    protected $casts = ['before' => 'array', 'after' => 'array', 'undone_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Viewer, $this> */
    public function viewer(): BelongsTo
    {
        return $this->belongsTo(Viewer::class, 'by_viewer_id');
    }
}
