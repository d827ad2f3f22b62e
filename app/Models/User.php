<?php

declare(strict_types=1);

namespace App\Models;

use App\Accounts\Role;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property list<string> $first_steps
 * @property bool $is_operator commands what is for all channels
 * @property Collection<int, Membership> $memberships
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use Notifiable;

    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'is_operator' => 'boolean', 'first_steps' => 'array'];

    protected $attributes = ['first_steps' => '[]'];

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    public function roleIn(Channel $channel): ?Role
    {
        return $this->memberships()->where('channel_id', $channel->id)->first()?->role;
    }
}
