<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\ListItemFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $text
 * @property int $weight
 * @property int $position
 * @property bool $is_on
 */
final class ListItem extends Model
{
    /** @use HasFactory<ListItemFactory> */
    use HasFactory;

    use OfAChannel;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['is_on' => 'boolean'];
}
