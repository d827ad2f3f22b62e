<?php

declare(strict_types=1);

namespace App\Air\Streams;

use App\Air\Capacity;

/**
 * How many connections stand open for pages, in all and from each address; they count from the moment they are taken.
 */
final class Admission
{
    private int $open = 0;

    /** @var array<string, int> by address */
    private array $byAddress = [];

    /** Connections that were turned away and not told of yet. */
    private int $turnedAway = 0;

    /**
     * @param  list<string>  $proxies  addresses of proxies that stand before the port; they tell whom they speak for
     */
    public function __construct(private readonly array $proxies)
    {
    }

    public function isProxy(string $address): bool
    {
        return in_array($address, $this->proxies, true);
    }

    /** @return bool false where there is no room */
    public function enter(string $address): bool
    {
        if ($this->open >= Capacity::READERS || (! $this->isProxy($address) && ! $this->mayCome($address))) {
            $this->turnedAway++;

            return false;
        }
        $this->open++;
        $this->count($address, 1);

        return true;
    }

    /** A connection from a proxy turns out to be somebody's. */
    public function told(string $proxy, string $address): bool
    {
        if (! $this->mayCome($address)) {
            $this->turnedAway++;

            return false;
        }
        $this->count($proxy, -1);
        $this->count($address, 1);

        return true;
    }

    public function leave(string $address): void
    {
        $this->open--;
        $this->count($address, -1);
    }

    public function turnedAway(): int
    {
        [$turnedAway, $this->turnedAway] = [$this->turnedAway, 0];

        return $turnedAway;
    }

    private function mayCome(string $address): bool
    {
        return ($this->byAddress[$address] ?? 0) < Capacity::READERS_AN_ADDRESS;
    }

    private function count(string $address, int $more): void
    {
        $this->byAddress[$address] = ($this->byAddress[$address] ?? 0) + $more;
        if ($this->byAddress[$address] <= 0) {
            unset($this->byAddress[$address]);
        }
    }
}
