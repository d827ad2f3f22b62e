<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Hearing\Attempt;
use SilverParrot\Memory\View;

final readonly class EnabledGate implements Gate
{
    public function name(): string
    {
        return 'switched on';
    }

    public function reads(Attempt $attempt): array
    {
        return [];
    }

    public function check(Attempt $attempt, View $memory): ?Closed
    {
        return $attempt->command->enabled ? null : Closed::switchedOff();
    }

    public function passed(Attempt $attempt, View $memory): array
    {
        return [];
    }
}
