<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CounterRow;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Reset;

/**
 * A counter of the whole channel, from 0.
 *
 * @extends NamedRowFactory<CounterRow>
 */
final class CounterRowFactory extends NamedRowFactory
{
    protected $model = CounterRow::class;

    protected function own(): array
    {
        return ['scope' => CounterScope::Channel, 'start' => 0, 'reset' => Reset::Never];
    }
}
