<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;

/** All that is remembered, read when it is looked at; it notes what was. */
final class ViewAtHand implements View
{
    /** @var array<string, null|bool|int|string|array<string, mixed>> what was looked at, by key id */
    public array $read = [];

    /** @param  Closure(Key): (null|bool|int|string|array<string, mixed>)  $value */
    public function __construct(private readonly Closure $value)
    {
    }

    public function knows(Key $key): bool
    {
        return true;
    }

    public function value(Key $key): null|bool|int|string|array
    {
        $id = $key->id();

        return array_key_exists($id, $this->read) ? $this->read[$id] : $this->read[$id] = ($this->value)($key);
    }
}
