<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

use SilverParrot\Source\Message;

/** One thing the parrot did. */
final readonly class Entry
{
    /** @param  array<string, string|Message>  $data */
    public function __construct(public EntryKind $kind, public array $data)
    {
    }

    public function message(): Message
    {
        return $this->kind->message($this->data);
    }
}
