<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Coverage;

use SilverParrot\Source\Message;
use SilverParrot\Source\Span;

/** One thing that a command can come to. */
final readonly class Coverable
{
    /**
     * @param  non-empty-list<string>  $keys  as Reach calls it; several where it has several parts
     * @param  string  $name  as it stands in the text, or is called there
     * @param  string  $place  the text that it is in, as the command calls it; empty for what is of the whole command
     * @param  Span|null  $span  in that text
     */
    public function __construct(
        public CoverableKind $kind,
        public array $keys,
        public string $name,
        public string $place = '',
        public ?Span $span = null,
    ) {
    }

    /** @param  array<string, true>  $reached */
    public function reachedOf(array $reached): int
    {
        $count = 0;
        foreach ($this->keys as $key) {
            $count += isset($reached[$key]) ? 1 : 0;
        }

        return $count;
    }

    /** @param  array<string, true>  $reached */
    public function isMissing(array $reached): bool
    {
        return $this->reachedOf($reached) < count($this->keys);
    }

    /**
     * What no script comes to.
     *
     * @param  array<string, true>  $reached
     */
    public function message(array $reached): Message
    {
        $key = $this->kind === CoverableKind::Reply && $this->name === '' ? 'reply-only' : $this->kind->value;

        return new Message("coverage.$key", [
            'name' => $this->name,
            'of' => count($this->keys),
            'missing' => count($this->keys) - $this->reachedOf($reached),
        ]);
    }
}
