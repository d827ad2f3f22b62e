<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\Role;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $channel_id
 * @property Role $role
 * @property Carbon $expires_at
 * @property Channel $channel
 * @property User|null $user who invites
 */
final class Invitation extends Model
{
    use OfAChannel;

    protected $guarded = [];

    protected $casts = ['role' => Role::class, 'expires_at' => 'datetime'];

    protected $hidden = ['token_hash'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
