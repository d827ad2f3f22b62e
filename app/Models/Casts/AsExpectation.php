<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Document\Document;
use SilverParrot\Format\ExpectationFormat;
use SilverParrot\Pack\Expectation;

/**
 * What is expected of a command, as the pack document has it.
 *
 * @implements CastsAttributes<Expectation, Expectation>
 */
final class AsExpectation implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): Expectation
    {
        $document = is_string($value) ? json_decode($value, true) : null;

        return ExpectationFormat::read(Document::of(is_array($document) ? $document : []));
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode(
            $value instanceof Expectation ? ExpectationFormat::write($value) : [],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
