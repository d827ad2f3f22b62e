<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\TextListRowFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use SilverParrot\Pack\DrawOrder;

/**
 * @property int $id
 * @property string $stable_id
 * @property string $name
 * @property DrawOrder $draw_order
 * @property bool $each_viewer
 * @property bool $from_chat
 * @property bool $responses
 * @property Collection<int, ListItem> $items
 */
final class TextListRow extends Model
{
    /** @use HasFactory<TextListRowFactory> */
    use HasFactory;

    use OfAChannel;

    protected $table = 'lists';

    protected $guarded = [];

    protected $casts = [
        'draw_order' => DrawOrder::class,
        'each_viewer' => 'boolean',
        'responses' => 'boolean',
        'from_chat' => 'boolean',
    ];

    /** @return HasMany<ListItem, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(ListItem::class, 'list_id')->orderBy('position');
    }
}
