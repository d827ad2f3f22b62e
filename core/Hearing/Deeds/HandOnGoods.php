<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\TradeGoods;
use SilverParrot\Pack\Field;

/** Whoever sets it off gives goods of their own to somebody. */
final class HandOnGoods implements Deed
{
    public static function key(): string
    {
        return 'hand on goods';
    }

    public function inputs(): array
    {
        return ['to' => '[target.login or target or ""]', 'goods' => '[word 2]', 'count' => '[word 3 or 1]'];
    }

    public function gives(): array
    {
        return ['name', 'before', 'after'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        $goods = $scene->goods($with['goods']);
        if ($goods instanceof ActionDone || $scene->by === null) {
            return $goods instanceof ActionDone ? $goods : ActionDone::refused('nobody-asks');
        }
        if (trim($with['to']) === '') {
            return ActionDone::refused('nobody-named');
        }
        $to = $scene->person($with['to']);
        $unit = $scene->unit('');
        // What is given away has no price, in whatever unit.
        $trade = new TradeGoods($goods, $unit instanceof Field ? $unit : new Field('points'));

        return $to === null || ! $scene->knows($trade->reads($scene->by, $to))
            ? null
            : $trade->handOn($scene->by, $to, DeedScene::count($with['count']), 0, $scene->memory);
    }
}
