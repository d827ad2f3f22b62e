<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\EarnedBy;

/**
 * @property string $stable_id
 * @property string $unit
 * @property EarnedBy $earned_by
 * @property int $amount
 * @property int $minutes
 * @property array{any_of?: list<string>, at_least?: string} $levels
 * @property bool $while_live
 * @property string $happening
 */
final class EarningRow extends Model
{
    use OfAChannel;

    protected $table = 'earnings';

    protected $guarded = [];

    protected $casts = ['earned_by' => EarnedBy::class, 'levels' => 'array', 'while_live' => 'boolean'];
}
