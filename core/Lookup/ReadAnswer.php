<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Value;

/** What was read from one answer. */
final readonly class ReadAnswer
{
    /** Characters of what a path met that are told. */
    public const RAW = 200;

    /**
     * @param  array<string, bool|int|string|Value>  $values  by folded name of the reading; gaps where there is none
     * @param  array<string, string>  $raw  what the path met before it became that, by the same
     * @param  array<string, int>  $places  how many places the path met, where there are several
     */
    public function __construct(public array $values, public array $raw = [], public array $places = [])
    {
    }

    /**
     * @return array{values: array<string, null|bool|int|string>, raw: array<string, string>,
     *     places: array<string, int>} to be kept
     */
    public function kept(): array
    {
        return [
            'values' => array_map(KeptReading::of(...), $this->values),
            'raw' => $this->raw,
            'places' => $this->places,
        ];
    }

    /** @return self|null null for what was not kept so */
    public static function fromKept(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_array($kept['values'] ?? null)) {
            return null;
        }
        $values = [];
        foreach ($kept['values'] as $name => $one) {
            $value = is_bool($one) || is_int($one) || is_string($one) ? KeptReading::value($one) : null;
            if ($value !== null) {
                $values[(string) $name] = $value;
            }
        }
        $raw = [];
        foreach (is_array($kept['raw'] ?? null) ? $kept['raw'] : [] as $name => $one) {
            if (is_string($one)) {
                $raw[(string) $name] = mb_substr($one, 0, self::RAW);
            }
        }

        $places = [];
        foreach (is_array($kept['places'] ?? null) ? $kept['places'] : [] as $name => $one) {
            $places[(string) $name] = is_int($one) ? $one : 1;
        }

        return new self($values, $raw, $places);
    }
}
