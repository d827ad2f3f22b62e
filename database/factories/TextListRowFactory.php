<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\TextListRow;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Source\Fold;

/**
 * A list without items.
 *
 * @extends Factory<TextListRow>
 */
final class TextListRowFactory extends Factory
{
    protected $model = TextListRow::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'channel_id' => ChannelFactory::new(),
            'name' => Str::lower(Str::random(8)),
            'name_folded' => static fn (array $of): string => Fold::caseless(is_string($of['name']) ? $of['name'] : ''),
            'stable_id' => static fn (array $of): mixed => $of['name_folded'],
            'draw_order' => DrawOrder::Free,
        ];
    }
}
