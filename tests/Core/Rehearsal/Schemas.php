<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use Opis\JsonSchema\Validator;

/** Documents against the schemas that the documentation shows. */
final class Schemas
{
    private const FORMATS = __DIR__.'/../../../docs/formats/';

    public static function takes(string $schema, string $text): bool
    {
        $validator = new Validator;
        foreach (['pack', 'memory', 'gates', 'readings', 'script', 'crowd', 'rehearsal'] as $name) {
            $validator->resolver()?->registerFile(
                "https://silver-parrot.example/formats/$name.schema.json",
                self::FORMATS."$name.schema.json",
            );
        }
        $result = $validator->validate(
            json_decode($text, flags: JSON_THROW_ON_ERROR),
            "https://silver-parrot.example/formats/$schema.schema.json",
        );

        return $result->isValid();
    }
}
