<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Value\Moment;

/** Something that the parrot can hear. */
interface Event
{
    /** The same for the same event, however often it is delivered. */
    public function key(): string;

    public function at(): Moment;

    /** Who brought it about; null for what nobody did. */
    public function person(): ?Person;

    /** The line that is answered; null where nobody typed one. */
    public function line(): ?ChatLine;
}
