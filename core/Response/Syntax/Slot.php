<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** A bracketed part that is filled in when the response is said. */
final readonly class Slot implements Part
{
    /** @param  string  $as the name that the value is given for the rest of the response, folded; empty for none */
    public function __construct(public Span $span, public Expression $value, public bool $isQuiet, public string $as)
    {
    }

    public function say(Run $run): void
    {
        $value = $this->value->evaluate($run);
        if (is_object($value) && $value instanceof Gap && ($this->as === '' || ! $this->isQuiet)) {
            $run->trace?->slot($this->span, null, $value);
            throw Failed::gap($value, $this->span);
        }
        if ($this->as !== '') {
            $run->bind($this->as, $value);
        }
        $text = $this->isQuiet ? '' : (is_string($value) ? $value : $run->print($value));
        $run->trace?->slot($this->span, $text, $value);
        if ($text !== '') {
            $run->slots[] = strlen($run->text);
            $run->text .= $text;
            $run->slots[] = strlen($run->text);
        }
    }

    /** @return Closure(Run): void the same without a trace */
    public function prepared(): Closure
    {
        if ($this->as !== '' || $this->isQuiet) {
            return $this->say(...);
        }
        $of = Preparing::value($this->value);
        $span = $this->span;

        return static function (Run $run) use ($of, $span): void {
            $text = $of($run);
            if (! is_string($text)) {
                $text = $text instanceof Gap ? throw Failed::gap($text, $span) : $run->print($text);
            }
            if ($text !== '') {
                $at = strlen($run->text);
                $run->text .= $text;
                $run->slots[] = $at;
                $run->slots[] = $at + strlen($text);
            }
        };
    }
}
