<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\RememberedName;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** What is remembered behind it: {"counter.planks": 12, "viewer.pebbles of tamsin": 40}. */
final readonly class Remembers implements Expects
{
    /** @param  array<string, null|bool|int|string>  $values  by the name of what is remembered */
    public function __construct(public array $values)
    {
    }

    public static function key(): string
    {
        return 'memory';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self(array_map(
            static fn (Document $one): null|bool|int|string => $one->scalar(),
            array_filter($at->each(), is_string(...), ARRAY_FILTER_USE_KEY),
        ));
    }

    /** @return array<string, null|bool|int|string> */
    public function write(): array
    {
        return $this->values;
    }

    public function unmet(Seen $seen): ?Message
    {
        foreach ($this->values as $name => $value) {
            $key = RememberedName::key($name, $seen->pack);
            if ($key === null) {
                return new Message('expectations.no-such-memory', ['name' => $name]);
            }
            $now = $seen->after[$key->id()] ?? null;
            $now = is_array($now) ? $now['n'] ?? null : $now;
            // Nothing yet is a number's 0.
            if (($now ?? 0) !== ($value ?? 0)) {
                return new Message('expectations.memory-is', [
                    'name' => $name,
                    'now' => RememberedName::written($now),
                    'wanted' => RememberedName::written($value),
                ]);
            }
        }

        return null;
    }
}
