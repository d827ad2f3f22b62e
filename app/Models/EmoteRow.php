<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $stable_id
 * @property string $word
 * @property string $picture
 * @property int $has_picture 1 or 0, where the pixels are left where they are
 * @property list<string> $any_of
 * @property string|null $at_least
 */
final class EmoteRow extends Model
{
    protected $table = 'emotes';

    protected $guarded = [];

    protected $casts = ['any_of' => 'array'];
}
