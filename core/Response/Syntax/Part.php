<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\LengthBounds;

/** A piece of a response: text, a slot, or a choice. Whatever somebody wants to know of a piece, it says itself. */
abstract readonly class Part
{
    /** How long it gets, known before anybody says a line. */
    abstract public function extent(EstimateContext $in): LengthBounds;

    /** @return list<self> the pieces directly inside, those of all branches, in the order of the text */
    public function inside(): array
    {
        return [];
    }

    /** @return list<Expression> the values that stand in it, without those of the pieces inside */
    public function values(): array
    {
        return [];
    }

    /**
     * Whether a sign that it ends with can melt with the one that follows: what viewers wrote can, what the author
     * wrote cannot.
     */
    public function isOpen(): bool
    {
        return true;
    }

    /**
     * @param  list<self>  $parts
     * @return iterable<self> every piece, those inside too, in the order of the text
     */
    final public static function all(array $parts): iterable
    {
        foreach ($parts as $part) {
            yield $part;
            yield from self::all($part->inside());
        }
    }

    /**
     * @param  list<self>  $parts
     * @return iterable<Expression> every expression, the outer before the inner
     */
    final public static function expressions(array $parts): iterable
    {
        foreach (self::all($parts) as $part) {
            foreach ($part->values() as $value) {
                yield from $value->within();
            }
        }
    }
}
