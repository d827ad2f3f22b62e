<?php

declare(strict_types=1);

namespace SilverParrot\Document;

use SilverParrot\Source\Finding;

/** Where all places of one document note what is wrong. */
final class Findings
{
    /** @var list<Finding> */
    public array $all = [];

    /**
     * @param  bool  $tellsListsFromObjects  whether it was read from a text; in rows, an empty one of either is the
     *     same
     */
    public function __construct(public readonly bool $tellsListsFromObjects = false)
    {
    }
}
