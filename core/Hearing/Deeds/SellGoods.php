<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\TradeGoods;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\View;

/** Whoever sets it off sells goods back to the channel. */
final class SellGoods extends Trading
{
    public static function key(): string
    {
        return 'sell';
    }

    protected function trade(TradeGoods $trade, Person $by, int $count, View $memory): ActionDone
    {
        return $trade->sellBack($by, $count, $memory);
    }
}
