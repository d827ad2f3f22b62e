<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Source\Finding;

/** A response as it was read. */
final readonly class ParsedResponse
{
    /**
     * @param  list<Part>  $parts
     * @param  list<Finding>  $mistakes  in the order of the text
     * @param  list<Expression>  $nodes  uses of names and verbs, comparisons, rankings, those of broken slots too
     */
    public function __construct(public array $parts, public array $mistakes, public array $nodes)
    {
    }
}
