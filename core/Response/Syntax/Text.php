<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\LengthBounds;

/** Said as it stands. */
final readonly class Text extends Part
{
    public function __construct(public string $text)
    {
    }

    public function extent(EstimateContext $in): LengthBounds
    {
        return LengthBounds::ofText($this->text);
    }

    public function isOpen(): bool
    {
        return false;
    }
}
