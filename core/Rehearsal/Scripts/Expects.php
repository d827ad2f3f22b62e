<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Document\Document;
use SilverParrot\Source\Message;

/** One thing that a script says must happen, or must not. */
interface Expects
{
    /** As scripts call it. */
    public static function key(): string;

    /** Whether it is of a whole evening, and not of one line. */
    public static function isOfAll(): bool;

    public static function read(Document $at): self;

    /** @return bool|int|string|array<array-key, mixed> as read() takes it */
    public function write(): bool|int|string|array;

    /** @return Message|null what is otherwise; null where it holds */
    public function unmet(Seen $seen): ?Message;
}
