<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

/** A piece of a response: text, a slot, or a choice. */
interface Part
{
}
