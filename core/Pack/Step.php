<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** One thing that happens when a command is set off, as far as a pack knows of it. */
interface Step
{
    /** @return array<string, string> its texts that are responses, by their place in it */
    public function sources(): array;

    /** @param  string  $place  of one of its sources */
    public function withSource(string $place, string $text): self;

    /** @return array<string, mixed> as a document keeps it */
    public function write(): array;

    /** The command that it runs, by its id or trigger; null where it runs none. */
    public function runs(): ?string;

    /** The response that it says; null where it says nothing. */
    public function says(): ?string;
}
