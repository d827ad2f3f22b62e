<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

/** A text together with where it came from: what the author wrote, and what slots filled in. */
final readonly class Spoken
{
    /** @param  list<int>  $slots  where each part that a slot filled in begins and ends, in bytes, one after the other */
    public function __construct(public string $text = '', public array $slots = [])
    {
    }

    /** @return list<array{string, bool}> text, and whether a slot filled it in */
    public function pieces(): array
    {
        $pieces = [];
        $at = 0;
        for ($i = 0; $i < count($this->slots); $i += 2) {
            [$from, $to] = [$this->slots[$i], $this->slots[$i + 1]];
            if ($from > $at) {
                $pieces[] = [substr($this->text, $at, $from - $at), false];
            }
            $pieces[] = [substr($this->text, $from, $to - $from), true];
            $at = $to;
        }
        if ($at < strlen($this->text)) {
            $pieces[] = [substr($this->text, $at), false];
        }

        return $pieces;
    }
}
