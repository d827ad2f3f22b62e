<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\Check;
use SilverParrot\Document\Document;
use SilverParrot\Pack\Gates;
use SilverParrot\Pack\GateSetting as PackGateSetting;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/**
 * What an author may set of a command's gates, with all that is its own: the value, how documents and rows keep it,
 * what its fields in a form mean, its part of the command's sentence, its checks, its gates. Its form fragment is the
 * view write/gates/KEY. A new one is one class, that view, and one line in GateSettings.
 */
abstract readonly class GateSetting extends PackGateSetting
{
    /** Its key in documents, rows and forms: "cooldown". */
    abstract public static function key(): string;

    abstract public static function usual(): self;

    /** What is wrong with it is noted in the document. */
    abstract public static function read(Document $at): self;

    /** @return array<array-key, mixed>|bool|int|string|null as read takes it; null where it goes without saying */
    abstract public function write(): array|bool|int|string|null;

    /** @return array<string, mixed> JSON Schema of what read takes */
    abstract public static function schema(): array;

    /**
     * @param  mixed  $fields  what a form holds under its key; null where that is nothing, as of a box that is not
     *     ticked
     * @return mixed as read takes it, null where it is as usual; what cannot be is left as it was typed, for read to
     *     find
     */
    abstract public static function typed(mixed $fields): mixed;

    /** What it is called where a condition can be added; null where its fields always stand in the form. */
    public static function condition(): ?string
    {
        return null;
    }

    /** @return list<Message> its parts of the sentence that tells of a command: “every 10 s” */
    abstract public function summary(): array;

    /** The reply that may be given where one of its gates is closed; null where there is none. */
    abstract public static function refusal(): ?Refusal;

    /** @return list<Gate> in the order in which they are looked at */
    abstract public function gates(): array;

    /** @return list<Check> of commands, as far as it is about this setting */
    abstract public static function checks(): array;

    /** Whether nobody is ever refused by it, as it is set. */
    public function neverCloses(): bool
    {
        return $this->gates() === [];
    }

    /**
     * Those of its gates that somebody can find closed.
     *
     * @param  Gates  $among  what else is set
     * @return list<Gate>
     */
    public function closable(Gates $among): array
    {
        return $this->neverCloses() ? [] : $this->gates();
    }
}
