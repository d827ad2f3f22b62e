<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $stable_id
 * @property string $word
 * @property string $picture
 * @property list<string> $any_of
 * @property string|null $at_least
 */
final class Emote extends Model
{
    protected $guarded = [];

    protected $casts = ['any_of' => 'array'];
}
