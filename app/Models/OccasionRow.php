<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $name
 */
final class OccasionRow extends Model
{
    use OfAChannel;

    protected $table = 'occasions';

    protected $guarded = [];
}
