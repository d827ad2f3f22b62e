<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\LevelRule;

/**
 * Who may, in two columns: any of some levels, or at least one.
 *
 * @implements CastsAttributes<LevelRule, LevelRule>
 */
final class AsLevelRule implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): LevelRule
    {
        $atLeast = $attributes['at_least'] ?? null;

        return new LevelRule(
            AsLevels::read($attributes['any_of'] ?? null),
            is_string($atLeast) ? Level::named($atLeast) : null,
        );
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @return array{any_of: string, at_least: string|null}
     */
    public function set(Model $model, string $key, mixed $value, array $attributes): array
    {
        $rule = $value instanceof LevelRule ? $value : new LevelRule;

        return ['any_of' => AsLevels::write($rule->anyOf), 'at_least' => $rule->atLeast?->word()];
    }
}
