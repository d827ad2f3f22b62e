<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** The parrot writes no more than so many percent of the lines. */
final readonly class Share implements Expects
{
    public function __construct(public int $percent)
    {
    }

    public static function key(): string
    {
        return 'share';
    }

    public static function isOfAll(): bool
    {
        return true;
    }

    public static function read(Document $at): self
    {
        return new self($at->whole(0, 100));
    }

    public function write(): int
    {
        return $this->percent;
    }

    public function unmet(Seen $seen): ?Message
    {
        $lines = 0;
        foreach ($seen->heard as $one) {
            $lines += $one->event instanceof ChatLine ? 1 : 0;
        }
        $said = count($seen->texts());

        // In whole numbers, so that a share of exactly so much holds.
        return $said * 100 <= $this->percent * ($lines + $said) ? null : new Message('expectations.share', [
            'percent' => intdiv($said * 100, max(1, $lines + $said)),
            'most' => $this->percent,
        ]);
    }
}
