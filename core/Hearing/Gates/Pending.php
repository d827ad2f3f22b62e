<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Key;
use SilverParrot\Response\Evaluation\PendingReads;

/** A gate that cannot say yet: something must be fetched first. */
final readonly class Pending
{
    /**
     * @param  list<Key>  $keys
     * @param  list<Request>  $requests
     */
    private function __construct(private array $keys, private array $requests)
    {
    }

    public static function key(Key ...$keys): self
    {
        return new self(array_values($keys), []);
    }

    public static function request(Request ...$requests): self
    {
        return new self([], array_values($requests));
    }

    public function noteIn(PendingReads $needed): void
    {
        array_map($needed->key(...), $this->keys);
        array_map($needed->request(...), $this->requests);
    }
}
