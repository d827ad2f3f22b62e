<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\FactRow;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;
use SilverParrot\Source\Fold;

/**
 * A fact.
 *
 * @extends Factory<FactRow>
 */
final class FactRowFactory extends Factory
{
    protected $model = FactRow::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'channel_id' => ChannelFactory::new(),
            'name' => Str::lower(Str::random(8)),
            'name_folded' => static fn (array $of): string => Fold::caseless(is_string($of['name']) ? $of['name'] : ''),
            'stable_id' => static fn (array $of): mixed => $of['name_folded'],
            'text' => 'the third shed along the slipway',
        ];
    }
}
