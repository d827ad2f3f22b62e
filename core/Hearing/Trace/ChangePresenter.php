<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

use SilverParrot\Memory\Change;

/** A change of memory in the words of reports: numbers as text, nothing as an empty text. */
final class ChangePresenter
{
    /** @return array{what: string, scope: string, from: string, to: string} */
    public static function change(Change $change): array
    {
        return [
            'what' => $change->what,
            'scope' => $change->scope,
            'from' => self::value($change->from),
            'to' => self::value($change->to),
        ];
    }

    /** @param  array<array-key, mixed>  $items  of a list, added in the chat; the newest is the one that is told */
    private static function items(array $items): string
    {
        $last = end($items);

        return is_array($last) && is_string($last['text'] ?? null) ? $last['text'] : '';
    }

    /** @param  null|bool|int|string|array<string, mixed>  $value */
    private static function value(null|bool|int|string|array $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && is_array($value['items'] ?? null) => self::items($value['items']),
            // A counter that begins anew is kept with its stream or day.
            is_array($value) => is_int($value['n'] ?? null) ? (string) $value['n'] : '…',
            default => (string) $value,
        };
    }
}
