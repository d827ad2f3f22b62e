<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Response\Described;
use SilverParrot\Response\Direct;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Syntax\Call;

final readonly class Caller extends PersonName implements Direct
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

    public function direct(Call $call): ?Closure
    {
        return isset($call->folded[1]) ? null : static fn (Run $run): ?Person => $run->scene->caller;
    }
}
