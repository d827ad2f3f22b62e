<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

use Random\Engine\PcgOneseq128XslRr64;
use Random\Randomizer;

use function hash;

/** Chance that depends on the channel's seed, the event and the place, and on nothing else. */
final readonly class KeyedChance implements Chance
{
    private string $begins;

    public function __construct(string $seed, string $eventKey)
    {
        // The parts are joined by a byte that UTF-8 text never holds, so no two different keys run together.
        $this->begins = "$seed\xFF$eventKey\xFF";
    }

    public function at(string $place): Randomizer
    {
        // 128 bits, as the generator's state has; a fast hash, since nothing here is a secret.
        return new Randomizer(new PcgOneseq128XslRr64(hash('xxh128', $this->begins.$place, true)));
    }
}
