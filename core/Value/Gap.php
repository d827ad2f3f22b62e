<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** Nothing, with a reason. It passes through what is done with it until `or`, `default` or `is nothing` ends it. */
final readonly class Gap implements Value
{
    /** @param  array<string, string>  $data fills the names in the reason's sentence */
    public function __construct(public GapReason $reason, public array $data = [])
    {
    }

    public static function pending(): self
    {
        return new self(GapReason::Pending);
    }

    public function isPending(): bool
    {
        return $this->reason === GapReason::Pending;
    }

    public function sentence(): string
    {
        $names = [];
        foreach ($this->data as $name => $value) {
            $names['{'.$name.'}'] = $value;
        }

        return strtr($this->reason->sentence(), $names);
    }
}
