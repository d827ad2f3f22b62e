<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\RememberedName;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** By how much numbers change: {"counter.planks": 1}; 0 where they must not. */
final readonly class Changes implements Expects
{
    private const MOST = 1_000_000_000_000;

    /** @param  array<string, int>  $by  by the name of what is remembered */
    public function __construct(public array $by)
    {
    }

    public static function key(): string
    {
        return 'changes';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self(array_map(
            static fn (Document $one): int => $one->whole(-self::MOST, self::MOST),
            array_filter($at->each(), is_string(...), ARRAY_FILTER_USE_KEY),
        ));
    }

    /** @return array<string, int> */
    public function write(): array
    {
        return $this->by;
    }

    public function unmet(Seen $seen): ?Message
    {
        foreach ($this->by as $name => $by) {
            $key = RememberedName::key($name, $seen->pack);
            if ($key === null) {
                return new Message('expectations.no-such-memory', ['name' => $name]);
            }
            $changed = 0;
            foreach ($seen->changes() as $change) {
                if ($change->key->id() === $key->id()) {
                    $changed += RememberedName::number($change->to) - RememberedName::number($change->from);
                }
            }
            if ($changed !== $by) {
                return new Message('expectations.changed-by', ['name' => $name, 'now' => $changed, 'wanted' => $by]);
            }
        }

        return null;
    }
}
