<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;

/** What is said, word for word. */
final readonly class Says implements Expects
{
    /** Sayings of one line. */
    private const MOST = 20;

    /** @param  list<string>  $texts */
    public function __construct(public array $texts)
    {
    }

    public static function key(): string
    {
        return 'says';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self($at->isStructured()
            ? array_map(static fn (Document $one): string => $one->text(Limits::SAID), $at->items(self::MOST))
            : [$at->text(Limits::SAID)]);
    }

    /** @return string|list<string> */
    public function write(): string|array
    {
        return count($this->texts) === 1 ? $this->texts[0] : $this->texts;
    }

    public function unmet(Seen $seen): ?Message
    {
        return $seen->texts() === $this->texts ? null : new Message('expectations.says-otherwise');
    }
}
