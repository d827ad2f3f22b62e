<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;

/** One of several texts is said. */
final readonly class OneOf implements Expects
{
    private const MOST = 100;

    /** @param  list<string>  $texts */
    public function __construct(public array $texts)
    {
    }

    public static function key(): string
    {
        return 'one_of';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self(
            array_map(static fn (Document $one): string => $one->text(Limits::SAID), $at->items(self::MOST)),
        );
    }

    /** @return list<string> */
    public function write(): array
    {
        return $this->texts;
    }

    public function unmet(Seen $seen): ?Message
    {
        return in_array(implode(' ', $seen->texts()), $this->texts, true)
            ? null
            : new Message('expectations.none-of', ['count' => count($this->texts)]);
    }
}
