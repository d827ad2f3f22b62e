<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Parameters;

use SilverParrot\Value\Number;

/** A whole number between two others. */
final readonly class WholeNumber implements ParameterRule
{
    public function __construct(public int $least, public int $most)
    {
    }

    public static function key(): string
    {
        return 'number';
    }

    public function admitted(string $typed): ?string
    {
        $number = Number::typed($typed);

        return is_int($number) && $number >= $this->least && $number <= $this->most ? (string) $number : null;
    }

    public function write(): array
    {
        return ['least' => $this->least, 'most' => $this->most];
    }
}
