<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Hearing\Attempt;
use SilverParrot\Memory\View;

final readonly class LevelGate implements Gate
{
    public function name(): string
    {
        return 'level';
    }

    public function reads(Attempt $attempt): array
    {
        return [];
    }

    public function check(Attempt $attempt, View $memory): ?Closed
    {
        $command = $attempt->command;

        return $command->levels->admits($attempt->caller->levels) ? null : Closed::level($command->levels, $command->levelRefusal);
    }

    public function passed(Attempt $attempt, View $memory): array
    {
        return [];
    }
}
