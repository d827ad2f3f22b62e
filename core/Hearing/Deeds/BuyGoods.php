<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\TradeGoods;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\View;

/** Whoever sets it off buys goods from the channel. */
final class BuyGoods extends Trading
{
    public static function key(): string
    {
        return 'buy';
    }

    protected function trade(TradeGoods $trade, Person $by, int $count, View $memory): ActionDone
    {
        return $trade->buy($by, $count, $memory);
    }
}
