<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Cause;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Turn;
use SilverParrot\Response\Evaluation\PendingReads;

/** What must be fetched before the event can be heard. */
final readonly class Needs implements Turn
{
    /** @param  list<Request>  $requests */
    private function __construct(public Reads $reads, public array $requests)
    {
    }

    public static function of(PendingReads $needed): self
    {
        return new self(Reads::of(...array_values($needed->keys)), array_values($needed->requests));
    }

    public static function keys(Key ...$keys): self
    {
        return new self(Reads::of(...$keys), []);
    }

    public function changesToKeep(): null
    {
        return null;
    }

    public function cause(): Cause
    {
        return Cause::nobody();
    }

    public function sayingsToQueue(): array
    {
        return [];
    }

    public function effectsToKeep(): array
    {
        return [];
    }
}
