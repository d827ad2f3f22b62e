<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\CounterRowFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Reset;

/**
 * @property string $stable_id
 * @property string $name
 * @property CounterScope $scope
 * @property int $start
 * @property int|null $floor
 * @property int|null $ceiling
 * @property Reset $reset
 * @property int $guard_seconds
 * @property bool $guard_by_another
 * @property string $changed_by
 * @property bool $own_only
 * @property bool $not_by_hand
 */
final class CounterRow extends Model
{
    /** @use HasFactory<CounterRowFactory> */
    use HasFactory;

    use OfAChannel;

    protected $table = 'counters';

    protected $guarded = [];

    protected $casts = [
        'scope' => CounterScope::class,
        'reset' => Reset::class,
        'guard_by_another' => 'boolean',
        'own_only' => 'boolean',
        'not_by_hand' => 'boolean',
    ];
}
