<?php

declare(strict_types=1);

namespace App\Web;

use SilverParrot\Lookup\CannedAnswer;

/** One canned result of a look-up as it is kept. */
final readonly class RecordedAnswer
{
    /** @param  bool  $isChosen  by whoever wrote it, instead of what the source said last */
    public function __construct(public int $id, public CannedAnswer $canned, public bool $isChosen)
    {
    }

    /** What the source has said, and not what somebody made of it. */
    public function isReal(): bool
    {
        return $this->canned->name === '';
    }
}
