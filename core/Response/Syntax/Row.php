<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Response\Evaluation\Bounds;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Said;
use SilverParrot\Response\SaysOwnText;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

use function is_string;

/** Parts made ready to be said often: what the author wrote, with blanks, and a closure for each blank. */
final readonly class Row
{
    /**
     * @param  array<int, string>  $blank  the author's texts at even places, nothing at odd ones
     * @param  array<int, Closure(Run): (null|bool|int|string|Value|Said)>  $steps  by odd place
     * @param  array<int, Span>  $spans  by odd place, of slots
     * @param  array<int, true>  $own  odd places at which a slot says what the pack's authors wrote
     */
    private function __construct(private array $blank, private array $steps, private array $spans, public array $own)
    {
    }

    /** @param  list<Part>  $parts */
    public static function of(array $parts): self
    {
        [$blank, $steps, $spans, $own] = [[''], [], [], []];
        $at = 0;
        foreach ($parts as $part) {
            if ($part instanceof Text) {
                $blank[$at] .= $part->text;
            } elseif ($part instanceof Filled) {
                $steps[$at + 1] = $part->prepared();
                if ($part instanceof Slot) {
                    $spans[$at + 1] = $part->span;
                    if (self::isOwn($part->value)) {
                        $own[$at + 1] = true;
                    }
                }
                $blank[++$at] = '';
                $blank[++$at] = '';
            }
        }

        return new self($blank, $steps, $spans, $own);
    }

    /** Whether nothing that people typed, or that came from outside, can be in what it says. */
    private static function isOwn(Expression $value): bool
    {
        // Whom a name is asked for is not said.
        if ($value instanceof Call) {
            return $value->name instanceof SaysOwnText;
        }
        foreach ($value instanceof Words || $value instanceof Bound ? [null] : Walk::children($value) as $child) {
            if ($child === null || ! self::isOwn($child)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @return array<int, string|Said> as Said takes it
     *
     * @throws Failed
     */
    public function fill(Run $run): array
    {
        $row = $this->blank;
        $trace = $run->trace;
        foreach ($this->steps as $at => $step) {
            $value = $step($run);
            // Texts and people are nearly all there is.
            $row[$at] = is_string($value) ? $value : ($value instanceof Person ? $value->name : $this->printed($value, $at, $run));
            if ($trace !== null && ! $value instanceof Said) {
                $trace->slot($this->spans[$at], (string) $row[$at], $value);
            }
        }

        return $row;
    }

    private function printed(null|bool|int|Value|Said $value, int $at, Run $run): string|Said
    {
        if ($value instanceof Gap) {
            $run->trace?->slot($this->spans[$at], null, $value);
            throw Failed::gap($value, $this->spans[$at]);
        }

        if ($value instanceof Said) {
            return $value;
        }
        $text = $run->print($value);
        if (Bounds::isTooLong($text)) {
            $run->trace?->slot($this->spans[$at], null, Bounds::tooLong());
            throw Failed::gap(Bounds::tooLong(), $this->spans[$at]);
        }

        return $text;
    }
}
