<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Filter;
use SilverParrot\Response\Outlook\EstimateContext;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Value\Value;

/** Only printing is quiet: the slot sees to that, the value passes by, so that `as` can keep it. */
final readonly class Quiet implements Filter
{
    public function describe(): Described
    {
        return new Described('quiet', '', 'the value', '[add 1 to counter.planks | quiet]Noted.', 'Prints nothing, and keeps the value for “as”.', 'passes it on');
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function outlook(Outlook $value, array $arguments, array $named, EstimateContext $in): Outlook
    {
        return $value;
    }

    public function apply(null|bool|int|string|Value $value, array $arguments, array $named, Run $run): null|bool|int|string|Value
    {
        return $value;
    }
}
