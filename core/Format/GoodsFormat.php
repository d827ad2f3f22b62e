<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Goods;
use SilverParrot\Source\Limits;

/** {"name": "lantern", "price": 40, "stock": 12, "buy_back": 20} */
final class GoodsFormat
{
    public static function read(Document $goods): Goods
    {
        $goods->object(['id', 'name', 'price', 'stock', 'buy_back'], ['name']);

        return new Goods(
            $goods->at('name')->name(),
            $goods->has('price') ? $goods->at('price')->whole(0, Limits::COUNTER) : 0,
            DefinitionName::id($goods),
            $goods->has('stock') ? $goods->at('stock')->whole(0, Limits::COUNTER) : null,
            $goods->has('buy_back') ? $goods->at('buy_back')->whole(0, Limits::COUNTER) : 0,
        );
    }

    /** @return array<string, mixed> */
    public static function write(Goods $goods): array
    {
        return DefinitionName::written($goods)
            + ($goods->price === 0 ? [] : ['price' => $goods->price])
            + ($goods->stock === null ? [] : ['stock' => $goods->stock])
            + ($goods->buyBack === 0 ? [] : ['buy_back' => $goods->buyBack]);
    }
}
