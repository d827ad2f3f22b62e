<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $login
 * @property string $name empty until somebody was seen
 */
final class Viewer extends Model
{
    use OfAChannel;

    public $timestamps = false;

    protected $guarded = [];
}
