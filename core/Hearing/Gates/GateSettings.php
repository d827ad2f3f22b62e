<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\Check;
use SilverParrot\Document\Document;
use SilverParrot\Pack\Gates;
use SilverParrot\Pack\Refusal;

/** The kinds of what is set of a command's gates. */
final class GateSettings
{
    /**
     * In the order in which their gates are looked at, their fields stand on the screen, and their words in the
     * sentence. A new one is one class, its view, and one line here.
     *
     * @var list<class-string<GateSetting>>
     */
    private const KINDS = [
        Enabled::class,
        Snoozed::class,
        ForLevels::class,
        ServiceNumber::class,
        Held::class,
        WhileStream::class,
        InCategory::class,
        Hours::class,
        Dates::class,
        WhereTyped::class,
        WordsNeeded::class,
        AtMost::class,
        Cooldown::class,
        Cost::class,
        ByChance::class,
    ];

    /** @return list<GateSetting> of every kind, in their order */
    public static function all(Gates $gates): array
    {
        $settings = array_map(static fn (string $kind): GateSetting => $gates->get($kind), self::KINDS);
        foreach ($gates->given() as $setting) {
            if ($setting instanceof GateSetting && ! in_array($setting::class, self::KINDS, true)) {
                $settings[] = $setting;
            }
        }

        return $settings;
    }

    /** @return list<Gate> that are asked, in their order */
    public static function gates(Gates $gates): array
    {
        return array_merge(
            [],
            ...array_map(
                static fn (GateSetting $setting): array => $gates->counts($setting::class) ? $setting->gates() : [],
                self::all($gates),
            ),
        );
    }

    /**
     * @param  Document  $of  what has the settings under their keys, among others
     * @param  list<class-string<GateSetting>>  $kinds  that it may have
     */
    public static function read(Document $of, array $kinds = self::KINDS): Gates
    {
        $given = [];
        foreach ($kinds as $kind) {
            if ($of->has($kind::key())) {
                $given[] = $kind::read($of->at($kind::key()));
            }
        }

        return Gates::of(...$given);
    }

    /**
     * @param  list<class-string<GateSetting>>|null  $kinds  that are written; null for all there are
     * @return array<string, mixed> by key, without what goes without saying
     */
    public static function write(Gates $gates, ?array $kinds = null): array
    {
        $written = [];
        foreach (self::all($gates) as $setting) {
            if ($kinds === null || in_array($setting::class, $kinds, true)) {
                $written[$setting::key()] = $setting->write();
            }
        }

        return array_filter($written, static fn (mixed $value): bool => $value !== null);
    }

    /** @return list<string> the keys of all kinds */
    public static function keys(): array
    {
        return array_map(static fn (string $kind): string => $kind::key(), self::KINDS);
    }

    /** @return array<string, array<string, mixed>> JSON Schema of each, by key */
    public static function schema(): array
    {
        return array_combine(self::keys(), array_map(static fn (string $kind): array => $kind::schema(), self::KINDS));
    }

    /**
     * @param  array<array-key, mixed>  $fields  of a form, by key
     * @return array<string, mixed> as read takes it
     */
    public static function typed(array $fields): array
    {
        $typed = array_combine(
            self::keys(),
            array_map(static fn (string $kind): mixed => $kind::typed($fields[$kind::key()] ?? null), self::KINDS),
        );

        return array_filter($typed, static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, Refusal> the replies that a command may have for closed gates, by key */
    public static function refusals(): array
    {
        $refusals = [];
        foreach (self::KINDS as $kind) {
            $refusal = $kind::refusal();
            $refusals += $refusal === null ? [] : [$refusal->key => $refusal];
        }

        return $refusals;
    }

    /** @return list<Check> */
    public static function checks(): array
    {
        return array_merge(
            [new RefusalNeverSaid, new OutcomeOutOfPlace],
            ...array_map(static fn (string $kind): array => $kind::checks(), self::KINDS),
        );
    }
}
