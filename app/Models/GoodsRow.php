<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property string $name
 * @property int $price
 * @property int|null $stock
 * @property int $buy_back
 */
final class GoodsRow extends Model
{
    use OfAChannel;

    protected $table = 'goods';

    protected $guarded = [];
}
