<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;

/** Said as it stands. */
final readonly class Text implements Part
{
    /** @var array{string, bool} */
    private array $piece;

    public function __construct(public string $text)
    {
        $this->piece = [$text, false];
    }

    public function say(Run $run): void
    {
        $run->pieces[] = $this->piece;
    }
}
