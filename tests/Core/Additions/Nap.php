<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

final readonly class Nap implements Step
{
    public function __construct(public int $seconds)
    {
    }

    public function runs(): null
    {
        return null;
    }

    public function says(): null
    {
        return null;
    }

    public function sources(): array
    {
        return [];
    }

    public function withSource(string $place, string $text): self
    {
        return $this;
    }

    public function write(): array
    {
        return ['nap' => $this->seconds];
    }

    public function run(Stage $stage): Ran
    {
        return new Ran(pause: $this->seconds * 1000);
    }
}
