<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** Something to tell a person: which sentence it is, and what stands in it. Its words are chosen at the edge. */
final readonly class Message
{
    /**
     * @param  string  $key  names the sentence: "refusals.level.reason"
     * @param  array<string, int|string|self>  $data  by the names that the sentence has for it
     */
    public function __construct(public string $key, public array $data = [])
    {
    }
}
