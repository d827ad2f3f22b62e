<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Value\Items;
use SilverParrot\Value\Value;

final readonly class Sort extends ListFilter
{
    public function describe(): Described
    {
        return new Described('sort', '', 'a list', '[channel.tags | sort]', 'A list in the order of the channel’s language, numbers by their size; of a text, its words.', 'passes it on');
    }

    public function outlook(Outlook $value, array $arguments, array $named, Forecast $in): Outlook
    {
        return self::list($value, $in);
    }

    protected function of(array $items, Run $run): ?Items
    {
        $texts = array_map($run->print(...), $items);
        $order = array_keys($texts);
        usort($order, static fn (int $a, int $b): int => $run->printer()->compare($texts[$a], $texts[$b]) ?: $a <=> $b);

        return $items === [] ? null : new Items(array_map(static fn (int $place): null|bool|int|string|Value => $items[$place], $order));
    }
}
