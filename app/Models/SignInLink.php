<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * @property User $user
 * @property string $token_hash SHA-256 of the token, which is stored nowhere
 * @property Carbon $expires_at
 */
final class SignInLink extends Model
{
    public $timestamps = false;

    protected $fillable = ['user_id', 'token_hash', 'expires_at'];

    protected $casts = ['expires_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
