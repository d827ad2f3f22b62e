<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Value\Moment;

/** One line of chat, as it was typed. */
final readonly class ChatLine implements Event
{
    public function __construct(public string $key, public Person $by, public string $text, public Moment $at)
    {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function at(): Moment
    {
        return $this->at;
    }
}
