<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

/** All that commands can do besides saying something, in the order in which they are offered. */
final class Deeds
{
    /** @var list<class-string<Deed>> */
    private const ALL = [
        KeepQuote::class,
        ChangeQuote::class,
        DeleteQuote::class,
        GivePointsAway::class,
        BuyGoods::class,
        SellGoods::class,
        HandOnGoods::class,
        CheckInToday::class,
        AddItem::class,
        AddCommand::class,
        ChangeCommand::class,
        RenameCommand::class,
        SwitchCommand::class,
        DeleteCommand::class,
        SetLevel::class,
        SetCooldown::class,
        AddAlias::class,
        ShowCommand::class,
        SwitchTimer::class,
        SwitchPhrases::class,
        SetTitle::class,
        SetCategory::class,
        SetTags::class,
        MarkMoment::class,
    ];

    /** @return array<string, Deed> by key */
    public static function all(): array
    {
        $all = [];
        foreach (self::ALL as $class) {
            $all[$class::key()] = new $class;
        }

        return $all;
    }

    /** @return list<string> keys of those that the streaming service carries out */
    public static function ofService(): array
    {
        return array_keys(array_filter(self::all(), static fn (Deed $one): bool => $one instanceof ServiceDeed));
    }

    public static function named(string $key): ?Deed
    {
        return self::all()[$key] ?? null;
    }
}
