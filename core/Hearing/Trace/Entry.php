<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

/** One thing the parrot did. */
final readonly class Entry
{
    /** @param  array<string, string>  $data */
    public function __construct(public EntryKind $kind, public array $data)
    {
    }

    /** In plain words, from the entry alone. */
    public function sentence(): string
    {
        return $this->kind->sentence($this->data);
    }
}
