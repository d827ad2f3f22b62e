<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Source\Fold;
use SilverParrot\Value\Value;

/** Somebody in the chat. */
final readonly class Person implements Value
{
    /** Whoever wrote something within this is taken to be here still. */
    public const HERE_SECONDS = 600;

    /**
     * @param  string  $id the service's stable id, by which everything is remembered; empty when the person is not
     *     known
     */
    private function __construct(
        public string $id,
        public string $login,
        public string $name,
        public Levels $levels,
        public int $tier,
    ) {
    }

    public static function known(string $id, string $login, string $name, Levels $levels, int $tier = 0): self
    {
        return new self($id, Fold::caseless($login), $name === '' ? $login : $name, $levels, $tier);
    }

    /** A name that was typed and that nobody here has. */
    public static function unknown(string $typed): self
    {
        return new self('', Fold::caseless($typed), $typed, Levels::of(), 0);
    }

    /**
     * @param  mixed  $record  as record() gives it
     * @return self|null null where it is none
     */
    public static function fromRecord(mixed $record): ?self
    {
        if (! is_array($record) || ! is_string($record['id'] ?? null) || ! is_string($record['login'] ?? null)) {
            return null;
        }
        $levels = [];
        foreach (is_array($record['levels'] ?? null) ? $record['levels'] : [] as $word) {
            $levels[] = is_string($word) ? Level::named($word) : null;
        }

        return self::known(
            $record['id'],
            $record['login'],
            is_string($record['name'] ?? null) ? $record['name'] : $record['login'],
            Levels::of(...array_filter($levels)),
            is_int($record['tier'] ?? null) ? $record['tier'] : 0,
        );
    }

    public function isKnown(): bool
    {
        return $this->id !== '';
    }

    /** @return array{id: string, login: string, name: string, levels: list<string>, tier: int} as memory keeps it */
    public function record(): array
    {
        return [
            'id' => $this->id,
            'login' => $this->login,
            'name' => $this->name,
            'levels' => $this->levels->words(),
            'tier' => $this->tier,
        ];
    }

    public function is(string $login): bool
    {
        return $this->login === Fold::caseless(ltrim(trim($login), '@'));
    }
}
