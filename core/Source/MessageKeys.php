<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** Says which sentence it would be and what would stand in it: where nobody reads it, and in tests. */
final readonly class MessageKeys implements Wording
{
    public function of(Message $message): string
    {
        return implode(' ', [$message->key, ...array_map(
            fn (int|string|Message $value): string => $value instanceof Message ? $this->of($value) : (string) $value,
            array_values($message->data),
        )]);
    }
}
