<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\FactRowFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $name
 * @property string $text
 * @property bool $is_response
 * @property string $parts lines as ExtraParts reads them
 */
final class FactRow extends Model
{
    /** @use HasFactory<FactRowFactory> */
    use HasFactory;

    use OfAChannel;

    protected $table = 'facts';

    protected $guarded = [];

    protected $casts = ['is_response' => 'boolean'];
}
