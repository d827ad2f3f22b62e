<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property array<string, mixed> $document
 */
final class ExpectationRow extends Model
{
    protected $table = 'expectations';

    protected $guarded = [];

    protected $casts = ['document' => 'array'];
}
