<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;

/** What stands somewhere in what is said. */
final readonly class Contains implements Expects
{
    public function __construct(public string $text)
    {
    }

    public static function key(): string
    {
        return 'contains';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self($at->text(Limits::SAID));
    }

    public function write(): string
    {
        return $this->text;
    }

    public function unmet(Seen $seen): ?Message
    {
        return mb_strpos(implode("\n", $seen->texts()), $this->text) !== false
            ? null
            : new Message('expectations.contains-not', ['text' => $this->text]);
    }
}
