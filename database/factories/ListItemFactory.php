<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\ListItem;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * An item of a list.
 *
 * @extends Factory<ListItem>
 */
final class ListItemFactory extends Factory
{
    protected $model = ListItem::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'list_id' => TextListRowFactory::new(),
            'channel_id' => ChannelFactory::new(),
            'stable_id' => Str::lower(Str::random(12)),
            'position' => 0,
            'text' => 'a bowline',
            'weight' => 1,
        ];
    }
}
