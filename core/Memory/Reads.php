<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** Keys to be fetched. */
final readonly class Reads
{
    /** @param  array<string, Key>  $keys by id */
    private function __construct(public array $keys)
    {
    }

    public static function of(Key ...$keys): self
    {
        $byId = [];
        foreach ($keys as $key) {
            $byId[$key->id()] = $key;
        }

        return new self($byId);
    }

    public function and(self $more): self
    {
        return new self($this->keys + $more->keys);
    }

    public function isEmpty(): bool
    {
        return $this->keys === [];
    }
}
