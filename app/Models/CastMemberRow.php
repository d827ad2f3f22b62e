<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsLevels;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Chat\Level;

/**
 * @property int $id
 * @property int $position
 * @property string $login
 * @property string $name
 * @property list<Level> $levels
 * @property int $tier
 * @property string $habits
 * @property array<string, string> $record
 * @property array<string, string> $details
 */
final class CastMemberRow extends Model
{
    use OfAChannel;

    protected $table = 'cast_members';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['levels' => AsLevels::class, 'record' => 'array', 'details' => 'array'];
}
