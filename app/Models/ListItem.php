<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $text
 * @property int $weight
 */
final class ListItem extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
