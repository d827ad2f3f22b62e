<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Chat\Person;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;

final readonly class Caller extends PersonName
{
    public function describe(): Described
    {
        return new Described('caller', '', 'a person', '[caller]', 'The person whose line set the command off.', parts: self::PARTS, tells: self::TELLS);
    }

    protected function isAlwaysThere(): bool
    {
        return true;
    }

    public function person(Run $run): ?Person
    {
        return $run->scene->caller;
    }
}
