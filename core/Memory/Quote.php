<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Value\Moment;
use SilverParrot\Value\Value;

/** Something that somebody said, kept under a number of its own for good. */
final readonly class Quote implements Value
{
    /** @param  string  $by  whose words they are; empty where nobody wrote it down */
    public function __construct(
        public int $number,
        public string $text,
        public string $by = '',
        public string $category = '',
        public ?Moment $date = null,
    ) {
    }
}
