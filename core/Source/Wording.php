<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** Puts into words what is told to people, in whatever language they read. */
interface Wording
{
    public function of(Message $message): string;
}
