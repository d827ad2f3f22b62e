<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use SilverParrot\Memory\Change;
use SilverParrot\Source\Message;
use SilverParrot\Value\Value;

/** What came of something that somebody does: what it changes, and what a reply may say of it. */
final readonly class ActionDone
{
    /**
     * @param  list<Change>  $changes
     * @param  array<string, null|bool|int|string|Message|Value>  $outcome  by name, before, after, reason, left, needs,
     *     has
     * @param  bool  $isDone  whether it was done; the reason of a refusal stands in the outcome
     */
    private function __construct(public array $changes, public array $outcome, public bool $isDone)
    {
    }

    /**
     * @param  list<Change>  $changes
     * @param  array<string, null|bool|int|string|Message|Value>  $outcome
     */
    public static function with(array $changes, array $outcome): self
    {
        return new self($changes, $outcome, true);
    }

    /** @param  array<string, int|string|Message>  $data  what stands in the sentence, and in the outcome too */
    public static function refused(string $code, array $data = []): self
    {
        return new self([], ['reason' => new Message("actions.$code", $data)] + $data, false);
    }
}
