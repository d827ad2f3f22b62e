<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Value\Value;

/** A response made ready to be said often: text that stands before each part, and a closure that says the part. */
final class Preparing
{
    /**
     * @param  list<Part>  $parts
     * @return list<array{string, (Closure(Run): void)|null}> null behind the last text
     */
    public static function steps(array $parts): array
    {
        $steps = [];
        $text = '';
        foreach ($parts as $part) {
            if ($part instanceof Text) {
                // Text is most of what is said, and put on without asking it.
                $text .= $part->text;
            } else {
                $steps[] = [$text, $part instanceof Slot || $part instanceof Choice ? $part->prepared() : $part->say(...)];
                $text = '';
            }
        }

        return $text === '' ? $steps : [...$steps, [$text, null]];
    }

    /** @return Closure(Run): (null|bool|int|string|Value) */
    public static function value(Expression $expression): Closure
    {
        return $expression instanceof Prepares ? $expression->prepared() : $expression->evaluate(...);
    }
}
