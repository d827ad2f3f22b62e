<?php

declare(strict_types=1);

namespace SilverParrot\Value;

use SilverParrot\Source\Message;

/** Nothing, with a reason. It passes through what is done with it until `or`, `default` or `is nothing` ends it. */
final readonly class Gap implements Value
{
    /** @param  array<string, string>  $data what stands in the reason's sentence */
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

    public function message(): Message
    {
        return new Message("gaps.{$this->reason->value}", $this->data);
    }
}
