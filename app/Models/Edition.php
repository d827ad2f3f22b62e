<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One published state of a pack. It is written once.
 *
 * @property int $id
 * @property int $number
 * @property string $note
 * @property string $document
 * @property Carbon $created_at
 * @property User|null $user
 */
final class Edition extends Model
{
    use OfAChannel;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
