<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Parameters;

/** Any text at all, up to its longest. */
final readonly class AnyText implements ParameterRule
{
    public static function key(): string
    {
        return 'any';
    }

    public function admitted(string $typed): string
    {
        return $typed;
    }

    public function write(): null
    {
        return null;
    }
}
