<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** Nothing is said; for which gate or reason, if wanted. */
final readonly class SaysNothing implements Expects
{
    /** @param  string  $because  the name of a gate, or the reason of a failure; empty for any */
    public function __construct(public string $because = '')
    {
    }

    public static function key(): string
    {
        return 'says_nothing';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        if ($at->isText()) {
            return new self($at->text(60));
        }
        if (! $at->isStructured()) {
            $at->flag();
            $at->isFalse() ? $at->notOneOf('false', ['true', 'a reason']) : null;

            return new self;
        }

        return new self($at->object(['because'], ['because'])->at('because')->text(60));
    }

    public function write(): true|string
    {
        return $this->because === '' ? true : $this->because;
    }

    public function unmet(Seen $seen): ?Message
    {
        return match (true) {
            $seen->texts() !== [] => new Message('expectations.says-something'),
            $this->because !== '' && ! in_array($this->because, $seen->reasons(), true) => new Message(
                'expectations.other-reason',
                ['because' => $this->because, 'now' => implode(', ', $seen->reasons())],
            ),
            default => null,
        };
    }
}
