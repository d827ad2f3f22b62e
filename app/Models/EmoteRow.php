<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsLevelRule;
use Database\Factories\EmoteRowFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\LevelRule;

/**
 * @property int $id
 * @property string $stable_id
 * @property string $word
 * @property string $picture
 * @property int $has_picture 1 or 0, where the pixels are left where they are
 * @property LevelRule $levels who may use it
 */
final class EmoteRow extends Model
{
    /** @use HasFactory<EmoteRowFactory> */
    use HasFactory;

    use OfAChannel;

    protected $table = 'emotes';

    protected $guarded = [];

    protected $casts = ['levels' => AsLevelRule::class];
}
