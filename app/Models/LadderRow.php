<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $name of its field
 * @property array<int, string> $ranks names by the least that is needed
 * @property bool $by_ever_earned
 * @property bool $is_on
 * @property string $rises
 * @property string $falls
 */
final class LadderRow extends Model
{
    use OfAChannel;

    protected $table = 'ladders';

    protected $guarded = [];

    protected $casts = ['ranks' => 'array', 'by_ever_earned' => 'boolean', 'is_on' => 'boolean'];
}
