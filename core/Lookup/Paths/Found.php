<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

/** One place of an answer that a path has met. */
final readonly class Found
{
    /**
     * @param  string  $text  as the source wrote it; of yes and no "true" or "false"; empty for nothing, and for a
     *     part
     */
    private function __construct(public FoundKind $kind, public string $text = '')
    {
    }

    public static function text(string $text): self
    {
        return new self(FoundKind::Text, $text);
    }

    /** @param  string  $digits  in decimal, or with an exponent */
    public static function number(string $digits): self
    {
        return new self(FoundKind::Number, $digits);
    }

    public static function yesNo(bool $is): self
    {
        return new self(FoundKind::YesNo, $is ? 'true' : 'false');
    }

    public static function nothing(): self
    {
        return new self(FoundKind::Nothing);
    }

    public static function part(): self
    {
        return new self(FoundKind::Part);
    }
}
