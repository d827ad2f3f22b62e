<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

/** A text together with where it came from: what the author wrote, and what slots filled in. */
final class Spoken
{
    /** @var list<array{string, bool}> text, and whether a slot filled it in */
    public array $pieces = [];

    public int $bytes = 0;

    public function add(string $text, bool $fromSlot): void
    {
        if ($text === '') {
            return;
        }
        $this->pieces[] = [$text, $fromSlot];
        $this->bytes += strlen($text);
    }

    public function text(): string
    {
        return implode('', array_column($this->pieces, 0));
    }
}
