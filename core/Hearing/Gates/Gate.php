<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

/** One condition that must hold before steps run. */
interface Gate
{
    /** In the author's words: "level", "channel cooldown". */
    public function name(): string;

    /** Pure; asked again, with the same context, whenever something more has been fetched. */
    public function stand(GateContext $context): Open|GateRefusal|Pending;
}
