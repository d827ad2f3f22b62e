<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Document\Document;
use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Gates;

/**
 * A command's gates, by the setting's key, as the pack document has them.
 *
 * @implements CastsAttributes<Gates, Gates>
 */
final class AsGates implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): Gates
    {
        $document = is_string($value) ? json_decode($value, true) : null;

        return GateSettings::read(Document::of(is_array($document) ? $document : []));
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return self::write($value instanceof Gates ? $value : Gates::of());
    }

    /** @param  list<class-string<GateSetting>>|null  $kinds  that are written; null for all there are */
    public static function write(Gates $gates, ?array $kinds = null): string
    {
        return json_encode(
            (object) GateSettings::write($gates, $kinds),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
