<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Name;

/** A name without parts. */
abstract readonly class SimpleName extends Name
{
    public function check(Call $call, Pack $pack): array
    {
        return isset($call->path[1]) ? [Checking::unknownPart($call, 1, [])] : Checking::takesNothing($call);
    }

    public function longestPath(): int
    {
        return 1;
    }
}
