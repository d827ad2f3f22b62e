<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A reply that a command may have for a closed gate. */
final readonly class Refusal
{
    /**
     * @param  string  $key  in documents, rows and forms: "cooldown"
     * @param  string  $when  on screens, before "it says": "When it is too early"
     * @param  list<string>  $gives  what of `outcome` it has, besides its name and the reason
     */
    public function __construct(public string $key, public string $when, public array $gives = [])
    {
    }
}
