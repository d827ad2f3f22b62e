<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Value\Moment;

/** One line of chat, as it was typed. */
final readonly class ChatLine implements Event
{
    /** Before keys that stand for a message id which could not be kept as it is. */
    public const HASHED = '#';

    /** Who can be answered privately, by the name that the chat knows them by now. */
    public string $nick;

    /**
     * @param  string|null  $nick  null where the chat knows them by their login; empty where they cannot be addressed
     * @param  bool  $isWhisper  whether it was written to the parrot alone
     */
    public function __construct(
        public string $key,
        public Person $by,
        public string $text,
        public Moment $at,
        ?string $nick = null,
        public bool $isWhisper = false,
    ) {
        $this->nick = $nick ?? $by->login;
    }

    /** The same line of somebody who holds more levels. */
    public function by(Person $person): self
    {
        return $person === $this->by
            ? $this
            : new self($this->key, $person, $this->text, $this->at, $this->nick, $this->isWhisper);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function at(): Moment
    {
        return $this->at;
    }

    public function person(): Person
    {
        return $this->by;
    }

    public function line(): self
    {
        return $this;
    }
}
