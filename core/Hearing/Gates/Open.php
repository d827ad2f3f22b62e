<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;

/** An open gate, and what passing it changes. */
final readonly class Open
{
    /**
     * @param  list<Change>  $kept  kept whenever the steps run, even where they fail: a cooldown
     * @param  list<Change>  $keptOnSuccess  kept only where they do not fail, and seen by them: a cost
     * @param  bool  $isUsual  whether it is open to nearly every line, and would only lengthen each why
     */
    public function __construct(
        public array $kept = [],
        public array $keptOnSuccess = [],
        public bool $isUsual = false,
    ) {
    }
}
