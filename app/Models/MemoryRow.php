<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $key
 * @property null|bool|int|string|array<string, mixed> $value
 */
final class MemoryRow extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'memory';

    protected $guarded = [];

    protected $casts = ['value' => 'json'];
}
