<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $login
 * @property string $name
 * @property list<string> $levels
 * @property int $tier
 * @property string $habits
 * @property array<string, string> $record
 */
final class CastMemberRow extends Model
{
    protected $table = 'cast_members';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['levels' => 'array', 'record' => 'array'];
}
