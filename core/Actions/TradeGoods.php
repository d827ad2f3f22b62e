<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;
use SilverParrot\Source\Limits;

/** Goods bought from the channel and sold back to it, and given or sold by one viewer to another: each once. */
final readonly class TradeGoods
{
    /** @param  Field  $unit  that prices are in */
    public function __construct(private Goods $goods, private Field $unit)
    {
    }

    public function reads(Person ...$people): Reads
    {
        $keys = [Key::sold($this->goods->id)];
        foreach ($people as $person) {
            array_push($keys, Holdings::key($this->goods, $person), Holdings::key($this->unit, $person));
        }

        return Reads::of(...$keys);
    }

    public function buy(Person $buyer, int $count, View $memory): ActionDone
    {
        $sold = $memory->value(Key::sold($this->goods->id));
        $left = $this->goods->stock === null ? null : $this->goods->stock - (is_int($sold) ? $sold : 0);
        $has = Holdings::has($this->unit, $buyer, $memory);

        return match (true) {
            $count < 1 || $count > Limits::GOODS => ActionDone::refused('no-count', ['most' => Limits::GOODS]),
            $this->goods->price === 0 => ActionDone::refused('not-for-sale', ['name' => $this->goods->name]),
            $left !== null && $left < $count => ActionDone::refused('sold-out', [
                'name' => $this->goods->name,
                'has' => max(0, $left),
            ]),
            $has < $this->goods->price * $count => ActionDone::refused('not-enough', [
                'unit' => $this->unit->many(),
                'has' => $has,
                'needs' => $this->goods->price * $count,
            ]),
            default => ActionDone::with([
                Holdings::add($this->unit, $buyer, -$this->goods->price * $count, $memory),
                Holdings::add($this->goods, $buyer, $count, $memory),
                $this->soldBy($count, $memory),
            ], [
                'name' => $this->goods->name,
                'before' => $has,
                'after' => $has - $this->goods->price * $count,
            ]),
        };
    }

    public function sellBack(Person $seller, int $count, View $memory): ActionDone
    {
        $owned = Holdings::has($this->goods, $seller, $memory);
        $has = Holdings::has($this->unit, $seller, $memory);

        return match (true) {
            $count < 1 || $count > Limits::GOODS => ActionDone::refused('no-count', ['most' => Limits::GOODS]),
            $this->goods->buyBack === 0 => ActionDone::refused('not-bought-back', ['name' => $this->goods->name]),
            $owned < $count => self::lacks($this->goods, $owned),
            default => ActionDone::with([
                Holdings::add($this->goods, $seller, -$count, $memory),
                Holdings::add($this->unit, $seller, $this->goods->buyBack * $count, $memory),
                $this->soldBy(-$count, $memory),
            ], ['name' => $this->goods->name, 'before' => $has, 'after' => $has + $this->goods->buyBack * $count]),
        };
    }

    /** @param  int  $price  for all of them; 0 where they are given */
    public function handOn(Person $from, Person $to, int $count, int $price, View $memory): ActionDone
    {
        $owned = Holdings::has($this->goods, $from, $memory);
        $has = Holdings::has($this->unit, $to, $memory);

        return match (true) {
            ! $to->isKnown() => ActionDone::refused('nobody', ['name' => $to->name]),
            $from->id === $to->id => ActionDone::refused('to-oneself', ['unit' => $this->goods->name]),
            $count < 1 || $count > Limits::GOODS => ActionDone::refused('no-count', ['most' => Limits::GOODS]),
            $price < 0 => ActionDone::refused('negative', ['amount' => $price]),
            $owned < $count => self::lacks($this->goods, $owned),
            $has < $price => ActionDone::refused('not-enough', [
                'unit' => $this->unit->many(),
                'has' => $has,
                'needs' => $price,
            ]),
            default => ActionDone::with([
                Holdings::add($this->goods, $from, -$count, $memory),
                Holdings::add($this->goods, $to, $count, $memory),
                ...$price === 0 ? [] : [
                    Holdings::add($this->unit, $to, -$price, $memory),
                    Holdings::add($this->unit, $from, $price, $memory),
                ],
            ], ['name' => $to->name, 'before' => $owned, 'after' => $owned - $count]),
        };
    }

    private static function lacks(Goods $goods, int $owned): ActionDone
    {
        return ActionDone::refused('not-owned', ['name' => $goods->name, 'has' => $owned]);
    }

    private function soldBy(int $count, View $memory): Change
    {
        $key = Key::sold($this->goods->id);
        $sold = $memory->value($key);

        return new Change($key, $sold, max(0, (is_int($sold) ? $sold : 0) + $count), '', '');
    }
}
