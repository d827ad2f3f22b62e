<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Said;
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
     */
    private function __construct(private array $blank, private array $steps, private array $spans)
    {
    }

    /** @param  list<Part>  $parts */
    public static function of(array $parts): self
    {
        [$blank, $steps, $spans] = [[''], [], []];
        $at = 0;
        foreach ($parts as $part) {
            if ($part instanceof Text) {
                $blank[$at] .= $part->text;
            } elseif ($part instanceof Filled) {
                $steps[$at + 1] = $part->prepared();
                if ($part instanceof Slot) {
                    $spans[$at + 1] = $part->span;
                }
                $blank[++$at] = '';
                $blank[++$at] = '';
            }
        }

        return new self($blank, $steps, $spans);
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

        return $value instanceof Said ? $value : $run->print($value);
    }
}
