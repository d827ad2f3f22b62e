<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named moment that lasts. */
final readonly class Occasion
{
    /** What its moment is kept under; a new name does not change it. */
    public string $id;

    /**
     * @param  bool  $isComing  whether a bare "10 days" is that far ahead, and not past
     * @param  bool  $isYearly  whether it comes again each year
     */
    public function __construct(
        public string $name,
        string $id = '',
        public bool $isComing = false,
        public bool $isYearly = false,
    ) {
        $this->id = $id === '' ? $name : $id;
    }
}
