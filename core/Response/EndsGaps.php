<?php

declare(strict_types=1);

namespace SilverParrot\Response;

/** Marks a filter that makes a value of a gap. */
interface EndsGaps
{
}
