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
    ];
}
