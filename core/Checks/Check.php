<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;

/** Looks at a pack without running it. */
interface Check
{
    /** @return list<Finding> */
    public function look(CheckContext $at): array;
}
