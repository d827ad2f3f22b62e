<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Name;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

final readonly class LookupName implements Name
{
    public function describe(): Described
    {
        return new Described('lookup', 'arguments like port=words', 'what the reading is', 'High water at [lookup.tide.high port=words or "an hour nobody knows"].', 'A reading from a web source.', later: 'no web source is asked yet, so on the air it has no value; rehearsals have canned results.');
    }

    public function check(Call $call, Pack $pack): array
    {
        return isset($call->path[2]) ? [] : [Checking::partExpected($call, 'lookup.tide.high')];
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        return Outlook::anything(Limits::READING)->orNothing()->orGap(GapReason::LookupDown);
    }

    public function value(Call $call, Run $run): null|bool|int|string|Value
    {
        $arguments = [];
        foreach ($call->named as $name => $argument) {
            $value = $argument->evaluate($run);
            if ($value instanceof Gap) {
                return $value;
            }
            $arguments[$name] = $run->print($value);
        }

        return $run->read(Request::lookup($call->path[1] ?? '', $call->path[2] ?? '', $arguments));
    }
}
