<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use LogicException;
use SilverParrot\Chat\Person;

/** What is set of a command's gates: at most one of each kind; what is not given is as usual. */
final readonly class Gates
{
    /**
     * @param  array<class-string<GateSetting>, GateSetting>  $settings  by kind, without those that are as usual
     * @param  list<class-string<GateSetting>>|null  $lookedAt  the kinds whose gates count; null for all
     */
    private function __construct(private array $settings, private ?array $lookedAt = null)
    {
    }

    public static function of(GateSetting ...$given): self
    {
        return (new self([]))->with(...$given);
    }

    public function with(GateSetting ...$given): self
    {
        $settings = $this->settings;
        foreach ($given as $setting) {
            $settings[$setting::class] = $setting;
        }
        ksort($settings);

        return new self(
            array_filter($settings, static fn (GateSetting $setting): bool => $setting != $setting::usual()),
            $this->lookedAt,
        );
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

    /** @param  class-string<GateSetting>  $kind */
    public function counts(string $kind): bool
    {
        return $this->lookedAt === null || in_array($kind, $this->lookedAt, true);
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

        return $setting instanceof $kind ? $setting : throw new LogicException("$kind is kept under another’s name.");
    }

    /** @return list<GateSetting> those that are not as usual */
    public function given(): array
    {
        return array_values($this->settings);
    }

    public function areOn(): bool
    {
        return array_filter($this->settings, static fn (GateSetting $setting): bool => ! $setting->isOn()) === [];
    }

    public function admit(Person $person): bool
    {
        return array_filter($this->settings, static fn (GateSetting $setting): bool => ! $setting->admits($person))
            === [];
    }

    /** @param  string  $name  "words" or "target": whether it is always there where they are open */
    public function promise(string $name): bool
    {
        foreach ($this->settings as $setting) {
            if (in_array($name, $setting->promises(), true)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> what they name of the pack, as responses do: "caller.boat", "goods.lantern" */
    public function names(): array
    {
        return array_values(
            array_unique(
                array_merge(
                    [],
                    ...array_map(
                        static fn (GateSetting $setting): array => $setting->names(),
                        array_values($this->settings),
                    ),
                ),
            ),
        );
    }

    /** @param  string  $place  what is called otherwise now, one of their names */
    public function renamed(string $place, string $name): self
    {
        return new self(
            array_map(
                static fn (GateSetting $setting): GateSetting => in_array($place, $setting->names(), true)
                    ? $setting->renamed($place, $name)
                    : $setting,
                $this->settings,
            ),
            $this->lookedAt,
        );
    }
}
