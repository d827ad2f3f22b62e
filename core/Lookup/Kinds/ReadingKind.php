<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

use DateTimeZone;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Value\Value;

/** What a reading is: a text, a number, a moment. A new one is one class, and one line in ReadingKinds. */
interface ReadingKind
{
    /** Its word in documents: "text". */
    public static function key(): string;

    /**
     * @param  non-empty-list<Found>  $found  in the answer's order, each with something in it
     * @param  int  $longest  characters
     * @return bool|int|string|Value|null null where what was found is none
     */
    public function value(array $found, int $longest, DateTimeZone $zone): bool|int|string|Value|null;

    /** @param  array<string, null|bool|int|string>  $settings  of its own, without those that are as usual */
    public static function with(array $settings): self;

    /** @return array<string, null|bool|int|string> */
    public function settings(): array;
}
