<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\QueryException;
use Throwable;

/**
 * The database does not answer any more: without memory nothing can be heard, and whoever watches starts a talker that
 * finds it again.
 */
final class DatabaseGone extends \RuntimeException
{
    public function __construct(Throwable $last)
    {
        // The query's own message holds what people wrote; its code says enough.
        $code =
            $last instanceof QueryException && is_int($last->errorInfo[1] ?? null)
                ? $last->errorInfo[1]
                : $last->getCode();
        parent::__construct("The database does not answer ($code); the talker ends.", previous: $last);
    }
}
