<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

use DateTimeZone;
use SilverParrot\Lookup\Paths\FoundKind;
use SilverParrot\Source\Fold;

/** Yes or no, also as texts say it. */
final readonly class YesNoKind implements ReadingKind
{
    private const WORDS = [
        'true' => true, 'yes' => true, 'on' => true, '1' => true, 'y' => true, 'open' => true,
        'false' => false, 'no' => false, 'off' => false, '0' => false, 'n' => false, 'closed' => false,
    ];

    public static function key(): string
    {
        return 'yes_no';
    }

    public function value(array $found, int $longest, DateTimeZone $zone): ?bool
    {
        return $found[0]->kind === FoundKind::Part
            ? null
            : self::WORDS[Fold::caseless(trim(mb_substr($found[0]->text, 0, 20)))] ?? null;
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
