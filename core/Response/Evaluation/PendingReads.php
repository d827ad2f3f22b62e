<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Key;

/** Collects what was asked for and is not there yet. */
final class PendingReads
{
    /** @var array<string, Key> */
    public array $keys = [];

    /** @var array<string, Request> */
    public array $requests = [];

    public function key(Key $key): void
    {
        $this->keys[$key->id()] = $key;
    }

    public function request(Request $request): void
    {
        $this->requests[$request->id] = $request;
    }

    /** Look-ups cost somebody something: they are not asked while a gate may still turn out to be closed. */
    public function forgetRequests(): void
    {
        $this->requests = [];
    }

    public function isEmpty(): bool
    {
        return $this->keys === [] && $this->requests === [];
    }
}
