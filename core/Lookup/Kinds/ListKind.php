<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

use DateTimeZone;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Lookup\Paths\FoundKind;
use SilverParrot\Value\ListValue;

/** Everything that the path meets, as texts. */
final readonly class ListKind implements ReadingKind
{
    /** Items of one. */
    public const MOST = 100;

    public static function key(): string
    {
        return 'list';
    }

    public function value(array $found, int $longest, DateTimeZone $zone): ?ListValue
    {
        $texts = array_map(
            static fn (Found $one): ?string => $one->kind === FoundKind::Part
                ? null
                : TextKind::plain($one->text, $longest),
            array_slice($found, 0, self::MOST),
        );
        $items = array_values(array_filter($texts, is_string(...)));

        return $items === [] ? null : new ListValue($items);
    }

    public static function with(array $settings): self
    {
        return new self;
    }

    public function settings(): array
    {
        return [];
    }
}
