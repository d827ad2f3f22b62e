<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

/** Marks a filter behind which a value is kept, and not said. */
interface PrintsNothing
{
}
