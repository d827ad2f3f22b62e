<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CounterRow;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Reset;
use SilverParrot\Source\Fold;

/**
 * A counter of the whole channel, from 0.
 *
 * @extends Factory<CounterRow>
 */
final class CounterRowFactory extends Factory
{
    protected $model = CounterRow::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'channel_id' => ChannelFactory::new(),
            'name' => Str::lower(Str::random(8)),
            'name_folded' => static fn (array $of): string => Fold::caseless(is_string($of['name']) ? $of['name'] : ''),
            'stable_id' => static fn (array $of): mixed => $of['name_folded'],
            'scope' => CounterScope::Channel,
            'start' => 0,
            'reset' => Reset::Never,
        ];
    }
}
