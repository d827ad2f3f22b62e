<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Value;

/** One thing that can be named at the head of a value. */
interface Name
{
    public function describe(): Described;

    /** @return list<Finding> what is wrong with this use of it */
    public function check(Call $call, Pack $pack): array;

    /** What it can be and how long it gets, known before anybody says a line. */
    public function outlook(Call $call, Forecast $in): Outlook;

    public function value(Call $call, Run $run): null|bool|int|string|Value;
}
