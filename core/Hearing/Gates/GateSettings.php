<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\Check;
use SilverParrot\Pack\Format\Document;

/** What is set of a command's gates: one of each kind. */
final readonly class GateSettings
{
    /**
     * In the order in which their gates are looked at, their fields stand on the screen, and their words in the sentence.
     * A new one is one class, its view, and one line here.
     *
     * @var list<class-string<GateSetting>>
     */
    private const KINDS = [
        Enabled::class,
        ForLevels::class,
        WhileStream::class,
        Cooldown::class,
    ];

    /** @var list<Gate> */
    public array $gates;

    /**
     * @param  array<class-string<GateSetting>, GateSetting>  $settings  by kind, with every kind of the table
     * @param  list<class-string<GateSetting>>|null  $lookedAt  the kinds whose gates count; null for all
     */
    private function __construct(private array $settings, ?array $lookedAt = null)
    {
        $counting = $lookedAt === null ? $settings : array_intersect_key($settings, array_flip($lookedAt));
        $this->gates = array_merge([], ...array_map(static fn (GateSetting $setting): array => $setting->gates(), array_values($counting)));
    }

    /** What is not given is as usual. */
    public static function of(GateSetting ...$given): self
    {
        $settings = [];
        foreach (self::KINDS as $kind) {
            $settings[$kind] = $kind::usual();
        }
        foreach ($given as $setting) {
            $settings[$setting::class] = $setting;
        }

        return new self($settings);
    }

    public function with(GateSetting ...$given): self
    {
        return self::of(...array_values($this->settings), ...array_values($given));
    }

    /**
     * The same settings, of which only some have a say: what is tried again and again has no cooldown.
     *
     * @param  class-string<GateSetting>  ...$kinds
     */
    public function lookingAt(string ...$kinds): self
    {
        return new self($this->settings, array_values($kinds));
    }

    /**
     * @template T of GateSetting
     *
     * @param  class-string<T>  $kind
     * @return T
     */
    public function get(string $kind): GateSetting
    {
        $setting = $this->settings[$kind] ?? $kind::usual();

        return $setting instanceof $kind ? $setting : throw new \LogicException("$kind is kept under another’s name.");
    }

    /** @return list<GateSetting> */
    public function all(): array
    {
        return array_values($this->settings);
    }

    /** @param  Document  $of  what has the settings under their keys, among others */
    public static function read(Document $of): self
    {
        $given = [];
        foreach (self::KINDS as $kind) {
            if ($of->has($kind::key())) {
                $given[] = $kind::read($of->at($kind::key()));
            }
        }

        return self::of(...$given);
    }

    /** @return array<string, mixed> by key, without what goes without saying */
    public function write(): array
    {
        $written = [];
        foreach ($this->settings as $setting) {
            $written[$setting::key()] = $setting->write();
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
        $typed = array_combine(self::keys(), array_map(static fn (string $kind): mixed => $kind::typed($fields[$kind::key()] ?? null), self::KINDS));

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
        return array_merge(...array_map(static fn (string $kind): array => $kind::checks(), self::KINDS));
    }
}
