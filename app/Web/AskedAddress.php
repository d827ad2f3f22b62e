<?php

declare(strict_types=1);

namespace App\Web;

use SilverParrot\Lookup\Header;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;

/** What one look-up asks for some values of its parameters. Secrets stand in none of it. */
final readonly class AskedAddress
{
    /** Tells equal questions from others. */
    public string $key;

    /** @param  array<string, string>  $arguments  by name */
    private function __construct(public Lookup $lookup, public string $address, public array $arguments)
    {
        $headers = array_map(static fn (Header $one): string => "{$one->name}: {$one->value}", $lookup->headers);
        $this->key = hash('sha256', implode("\n", [$lookup->id, $address, ...$headers]));
    }

    /**
     * @param  array<string, string>  $arguments  by name
     * @return self|Parameter the parameter that may not be what it is given
     */
    public static function of(Lookup $lookup, array $arguments): self|Parameter
    {
        $address = $lookup->addressWith($arguments);

        return $address instanceof Parameter ? $address : new self($lookup, $address, $arguments);
    }
}
