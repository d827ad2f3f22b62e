<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Pack\Gates;
use WeakMap;

/** The gates of what is set of them, made once and kept as long as that is: every line that is a command asks them. */
final class KnownGates
{
    /** @var WeakMap<Gates, list<Gate>> */
    private WeakMap $gates;

    public function __construct()
    {
        /** @var WeakMap<Gates, list<Gate>> $none */
        $none = new WeakMap;
        $this->gates = $none;
    }

    /** @return list<Gate> in the order in which they are asked */
    public function of(Gates $gates): array
    {
        return $this->gates[$gates] ??= GateSettings::gates($gates);
    }
}
