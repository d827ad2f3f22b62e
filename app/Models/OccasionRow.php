<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $name
 * @property bool $coming
 * @property bool $yearly
 */
final class OccasionRow extends Model
{
    use OfAChannel;

    protected $table = 'occasions';

    protected $guarded = [];

    protected $casts = ['coming' => 'boolean', 'yearly' => 'boolean'];
}
