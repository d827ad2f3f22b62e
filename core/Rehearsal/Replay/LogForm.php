<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

/** One way in which chat logs are written. */
interface LogForm
{
    public static function key(): string;

    /** As a page calls it. */
    public static function label(): string;

    /** @return LoggedLine|null null for what is no line of this form */
    public function line(string $text): ?LoggedLine;
}
