<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

/** One thing that is done to every saying before the chat sees it. */
interface Fitting
{
    public function fit(FittedText $fitted, MessageLimits $limits): void;
}
