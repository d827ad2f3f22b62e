<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

/** Said as it stands. */
final readonly class Text implements Part
{
    public function __construct(public string $text)
    {
    }
}
