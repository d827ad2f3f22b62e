<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Document\Document;
use SilverParrot\Format\StepFormat;
use SilverParrot\Pack\Step;

/**
 * What a response does, as the pack document has it.
 *
 * @implements CastsAttributes<list<Step>, list<Step>>
 */
final class AsSteps implements CastsAttributes
{
    /**
     * @param  array<string, mixed>  $attributes
     * @return list<Step>
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $steps = is_string($value) ? json_decode($value, true) : null;

        return array_values(
            array_map(
                static fn (mixed $step): Step => StepFormat::read(Document::of(is_array($step) ? $step : [])),
                is_array($steps) ? $steps : [],
            ),
        );
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return self::write($value ?? []);
    }

    /** @param  array<Step>  $steps */
    public static function write(array $steps): string
    {
        return json_encode(
            array_values(array_map(static fn (Step $step): array => $step->write(), $steps)),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
