<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

use DateTimeZone;
use SilverParrot\Lookup\Paths\FoundKind;

/** A text of people: on one line, without controls, cut where it is too long. */
final readonly class TextKind implements ReadingKind
{
    public static function key(): string
    {
        return 'text';
    }

    public function value(array $found, int $longest, DateTimeZone $zone): ?string
    {
        return $found[0]->kind === FoundKind::Part ? null : self::plain($found[0]->text, $longest);
    }

    public static function with(array $settings): self
    {
        return new self;
    }

    public function settings(): array
    {
        return [];
    }

    /** Null where nothing is left of it. */
    public static function plain(string $text, int $longest): ?string
    {
        // What joins emoji and letters is a format sign as well, and stays; what turns the direction of writing goes.
        $plain = (string) preg_replace(
            ['/[\x{202A}-\x{202E}\x{2066}-\x{2069}]|(?![\t\n\r])\p{Cc}/u', '/\s+/u'],
            ['', ' '],
            mb_scrub($text),
        );
        $plain = trim(mb_substr($plain, 0, $longest));

        return $plain === '' ? null : $plain;
    }
}
