<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

/** A saying on its way through the fittings. */
final class Draft
{
    /** @var list<string> what was done to it, in plain words */
    public array $notes = [];

    /** @param  list<array{string, bool}>  $pieces text, and whether a slot filled it in */
    public function __construct(public array $pieces)
    {
    }

    public function text(): string
    {
        return implode('', array_column($this->pieces, 0));
    }
}
