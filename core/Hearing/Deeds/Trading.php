<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\TradeGoods;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;

/** Whoever sets it off trades with the channel, for points of the first unit. */
abstract class Trading implements Deed
{
    final public function inputs(): array
    {
        return ['goods' => '[word 1]', 'count' => '[word 2 or 1]'];
    }

    final public function gives(): array
    {
        return ['name', 'before', 'after'];
    }

    final public function do(array $with, DeedScene $scene): ?ActionDone
    {
        [$goods, $unit, $by] = [$scene->goods($with['goods']), $scene->unit(''), $scene->by];
        if (! $goods instanceof Goods || ! $unit instanceof Field || $by === null) {
            return match (true) {
                ! $goods instanceof Goods => $goods,
                ! $unit instanceof Field => $unit,
                default => ActionDone::refused('nobody-asks'),
            };
        }
        $trade = new TradeGoods($goods, $unit);

        return $scene->knows($trade->reads($by))
            ? $this->trade($trade, $by, DeedScene::count($with['count']), $scene->memory)
            : null;
    }

    abstract protected function trade(TradeGoods $trade, Person $by, int $count, View $memory): ActionDone;
}
