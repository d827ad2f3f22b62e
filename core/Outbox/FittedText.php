<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Message;

/** A saying on its way through the fittings. */
final class FittedText
{
    /** @var list<Message> what was done to it */
    public array $notes = [];

    /** @param  list<array{string, Origin}>  $pieces  text, and where it came from */
    public function __construct(public array $pieces)
    {
    }

    public function text(): string
    {
        return implode('', array_column($this->pieces, 0));
    }
}
