<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Service;

/** What commands can set at the streaming service. */
enum ServiceField: string
{
    case Title = 'title';

    case Category = 'category';

    /** All of them together. */
    case Tags = 'tags';

    /** A moment of the recording, to be found again. */
    case Mark = 'mark';

    /** Whether to ask once more changes nothing: what was asked before a kill is asked again, or its end is unknown. */
    public function isRepeatable(): bool
    {
        return $this !== self::Mark;
    }
}
