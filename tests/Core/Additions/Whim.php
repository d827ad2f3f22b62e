<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Whim extends SimpleName
{
    public function describe(): Description
    {
        return new Description('whim', '', 'a text', '[whim]', 'Whatever comes to mind.');
    }

    public function prepared(Call $call): Closure
    {
        return static fn (): string => 'tea';
    }
}
