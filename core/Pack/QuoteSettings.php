<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** How quotes are drawn, and how their dates are written. */
final readonly class QuoteSettings
{
    /** Characters of a date pattern. */
    public const LONGEST_PATTERN = 40;

    /**
     * @param  bool  $allOnce  whether a drawn quote comes again only when all others have come
     * @param  string  $dates  as the filter date takes it, "d MMM y"; empty for as the language writes them
     */
    public function __construct(public bool $allOnce = false, public string $dates = '')
    {
    }
}
