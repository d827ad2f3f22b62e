<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;

/** Said as it stands. */
final readonly class Text implements Part
{
    public function __construct(public string $text)
    {
    }

    public function say(Run $run): void
    {
        $run->text .= $this->text;
    }
}
