<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\Role;
use Database\Factories\MembershipFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $channel_id
 * @property int $user_id
 * @property Role $role
 * @property Channel $channel
 * @property User $user
 */
final class Membership extends Model
{
    /** @use HasFactory<MembershipFactory> */
    use HasFactory;

    use OfAChannel;

    protected $guarded = [];

    protected $casts = ['role' => Role::class];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
