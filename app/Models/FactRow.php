<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $name
 * @property string $text
 */
final class FactRow extends Model
{
    protected $table = 'facts';

    protected $guarded = [];
}
