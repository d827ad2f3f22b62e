<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property string $token that nobody can guess
 * @property string $shows a response without verbs and without a caller
 * @property array<string, int|string> $look as LiveLook has it
 * @property Channel $channel
 */
final class LiveAddress extends Model
{
    use OfAChannel;

    protected $guarded = [];

    protected $casts = ['look' => 'array'];

    /** @return BelongsTo<Channel, $this> */
    public function channel(): BelongsTo
    {
        return $this->belongsTo(Channel::class);
    }
}
