<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Storage\Definitions\Definition;

/** What responses use by a name. */
interface UsedByName extends Definition
{
    /** What a response writes before the name: "counter". */
    public function prefix(): string;

    /** @return list<string> all that a response may write before the name */
    public function heads(): array;
}
