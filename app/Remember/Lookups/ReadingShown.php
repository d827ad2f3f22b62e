<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use SilverParrot\Chat\Channel;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** One reading as the screen shows it: its value as it would be said, or why there is none. */
final readonly class ReadingShown
{
    /** @param  int  $places  that its path meets; @param  string  $met  the first of them, as they stand there */
    private function __construct(
        public string $name,
        public ?string $value,
        public string $problem,
        public ?Gap $gap,
        public int $places,
        public string $met,
    ) {
    }

    public static function of(
        string $name,
        null|bool|int|string|Value $value,
        string $problem,
        Channel $channel,
        int $places = 1,
        string $met = '',
    ): self {
        $hasValue = $problem === '' && $value !== null && ! $value instanceof Gap;

        return new self(
            $name,
            $hasValue ? (new Printer($channel))->print($value) : null,
            $problem,
            $value instanceof Gap ? $value : null,
            $places,
            $met,
        );
    }
}
