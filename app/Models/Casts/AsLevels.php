<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Chat\Level;

/**
 * Levels by their words, as JSON; what is none is left out.
 *
 * @implements CastsAttributes<list<Level>, list<Level>>
 */
final class AsLevels implements CastsAttributes
{
    /**
     * @param  array<string, mixed>  $attributes
     * @return list<Level>
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        return self::read($value);
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return self::write($value ?? []);
    }

    /** @return list<Level> */
    public static function read(mixed $json): array
    {
        $words = is_string($json) ? json_decode($json, true) : null;

        return Level::allNamed(is_array($words) ? $words : []);
    }

    /** @param  array<Level>  $levels */
    public static function write(array $levels): string
    {
        return json_encode(
            array_values(array_map(static fn (Level $level): string => $level->word(), $levels)),
            JSON_THROW_ON_ERROR,
        );
    }
}
