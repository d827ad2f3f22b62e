<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Source\Message;

/** What came of something that was done, as it is kept until it is told: sentences as their keys and data. */
final class OutcomeFormat
{
    /** @return array<string, mixed> */
    public static function write(ActionDone $done): array
    {
        $outcome = [];
        foreach ($done->outcome as $part => $value) {
            $outcome[$part] = match (true) {
                $value instanceof Message => [
                    'key' => $value->key,
                    'data' => array_filter($value->data, is_scalar(...)),
                ],
                is_scalar($value) => $value,
                default => null,
            };
        }

        return ['done' => $done->isDone, 'outcome' => $outcome];
    }

    /** @param  array<array-key, mixed>  $kept */
    public static function read(array $kept): ActionDone
    {
        $outcome = [];
        foreach (is_array($kept['outcome'] ?? null) ? $kept['outcome'] : [] as $part => $value) {
            $outcome[(string) $part] = match (true) {
                is_array($value) && is_string($value['key'] ?? null) => self::message(
                    $value['key'],
                    $value['data'] ?? [],
                ),
                is_bool($value), is_int($value), is_string($value) => $value,
                default => null,
            };
        }
        $reason = $outcome['reason'] ?? null;

        return ($kept['done'] ?? false) === true || ! $reason instanceof Message
            ? ActionDone::with([], $outcome)
            : ActionDone::refused(explode('.', $reason->key, 2)[1] ?? '', $reason->data);
    }

    private static function message(string $key, mixed $data): Message
    {
        $kept = [];
        foreach (is_array($data) ? $data : [] as $name => $value) {
            if (is_int($value) || is_string($value)) {
                $kept[(string) $name] = $value;
            }
        }

        return new Message($key, $kept);
    }
}
