<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Filter;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Value\Items;
use SilverParrot\Value\Value;

final readonly class Join implements Filter
{
    public function describe(): Described
    {
        return new Described('join', 'the text between', 'a text', '[channel.tags | join " · "]', 'Writes a list with a text of your own between its parts.', 'passes it on');
    }

    public function arity(): array
    {
        return [1, 1];
    }

    public function outlook(Outlook $value, array $arguments, array $named, Forecast $in): Outlook
    {
        if ($value->item === null) {
            return $value;
        }
        $joint = $arguments[0];

        return $value->asText(0, $value->most * $value->item->longest + max(0, $value->most - 1) * $joint->longest, $value->most * $value->item->bytes + max(0, $value->most - 1) * $joint->bytes);
    }

    public function apply(null|bool|int|string|Value $value, array $arguments, array $named, Run $run): null|bool|int|string|Value
    {
        return $value instanceof Items ? implode($run->print($arguments[0] ?? null), array_map($run->print(...), $value->items)) : $value;
    }
}
