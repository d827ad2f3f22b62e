<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

/** What readings can be. */
final class ReadingKinds
{
    /** @var list<class-string<ReadingKind>> a new one is one line here */
    private const ALL = [TextKind::class, NumberKind::class, MomentKind::class, YesNoKind::class, ListKind::class];

    /**
     * @param  array<string, null|bool|int|string>  $settings
     * @return ReadingKind a text where there is no such kind
     */
    public static function of(string $key, array $settings = []): ReadingKind
    {
        $kind = self::byKey()[$key] ?? TextKind::class;

        return $kind::with($settings);
    }

    /** @return list<string> what any of them can be set to, by its key in documents */
    public static function settings(): array
    {
        return ['unit', 'decimals', 'decimal_sign', 'format', 'zone'];
    }

    /** @return array<string, class-string<ReadingKind>> by key */
    public static function byKey(): array
    {
        return array_combine(
            array_map(static fn (string $kind): string => $kind::key(), self::ALL),
            self::ALL,
        );
    }
}
