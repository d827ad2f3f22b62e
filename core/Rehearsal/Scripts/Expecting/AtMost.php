<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** No more than so many sayings in so many minutes, at any time. */
final readonly class AtMost implements Expects
{
    private const MOST = 10_000;

    public function __construct(public int $sayings, public int $minutes)
    {
    }

    public static function key(): string
    {
        return 'at_most';
    }

    public static function isOfAll(): bool
    {
        return true;
    }

    public static function read(Document $at): self
    {
        $at->object(['sayings', 'minutes'], ['sayings', 'minutes']);

        return new self($at->at('sayings')->whole(0, self::MOST), $at->at('minutes')->whole(1, self::MOST));
    }

    /** @return array{sayings: int, minutes: int} */
    public function write(): array
    {
        return ['sayings' => $this->sayings, 'minutes' => $this->minutes];
    }

    public function unmet(Seen $seen): ?Message
    {
        $window = [];
        $most = 0;
        foreach ($seen->heard as $one) {
            foreach ($one->outcome->sayings as $ignored) {
                $window[] = $one->line->millis;
            }
            while ($window !== [] && $window[0] <= $one->line->millis - $this->minutes * 60_000) {
                array_shift($window);
            }
            $most = max($most, count($window));
        }

        return $most <= $this->sayings ? null : new Message('expectations.too-many', [
            'sayings' => $most,
            'minutes' => $this->minutes,
            'most' => $this->sayings,
        ]);
    }
}
