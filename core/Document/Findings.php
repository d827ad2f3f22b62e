<?php

declare(strict_types=1);

namespace SilverParrot\Document;

use SilverParrot\Source\Finding;

/** Where all places of one document note what is wrong. */
final class Findings
{
    /** @var list<Finding> */
    public array $all = [];
}
