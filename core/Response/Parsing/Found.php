<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Source\Finding;

/** What is found while a response is read. */
final class Found
{
    /** @var list<Finding> */
    public array $findings = [];

    /** @var list<Expression> uses of names and verbs, in whichever branch, those of slots that are broken too */
    public array $nodes = [];

    /** @var array<string, true> names given with `as` so far */
    public array $bound = [];
}
