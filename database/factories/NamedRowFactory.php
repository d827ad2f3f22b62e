<?php

declare(strict_types=1);

namespace Database\Factories;

use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;
use SilverParrot\Source\Fold;

/**
 * A definition with a name, which is its id too.
 *
 * @template T of Model
 *
 * @extends Factory<T>
 */
abstract class NamedRowFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'channel_id' => ChannelFactory::new(),
            'name' => Str::lower(Str::random(8)),
            'name_folded' => static fn (array $of): string => Fold::caseless(is_string($of['name']) ? $of['name'] : ''),
            'stable_id' => static fn (array $of): mixed => $of['name_folded'],
        ] + $this->own();
    }

    /** @return array<string, mixed> what only this kind has */
    abstract protected function own(): array;
}
