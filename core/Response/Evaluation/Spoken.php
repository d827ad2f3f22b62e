<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

/** A text together with where it came from: what the author wrote, and what slots filled in. */
final readonly class Spoken
{
    /** @param  list<array{string, bool}>  $pieces  text, and whether a slot filled it in */
    public function __construct(public array $pieces = [])
    {
    }

    public function text(): string
    {
        return implode('', array_column($this->pieces, 0));
    }
}
