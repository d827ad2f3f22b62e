<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $text
 * @property int $weight
 */
final class CommandResponse extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
