<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\FieldType;

/**
 * @property string $stable_id
 * @property string $name
 * @property FieldType $type
 * @property string|null $start
 * @property string $one
 * @property string $many
 * @property int $least_gift
 * @property bool $ranks_streamer
 * @property int|null $least
 * @property int|null $most
 * @property int $longest
 * @property string $changed_by
 * @property bool $own_only
 * @property bool $not_by_hand
 */
final class FieldRow extends Model
{
    use OfAChannel;

    protected $table = 'fields';

    protected $guarded = [];

    protected $casts = [
        'type' => FieldType::class,
        'ranks_streamer' => 'boolean',
        'own_only' => 'boolean',
        'not_by_hand' => 'boolean',
    ];
}
