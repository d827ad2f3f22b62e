<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use SilverParrot\Chat\Person;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Number;

/** Points that one viewer gives another: a whole amount, or "all". */
final readonly class GivePoints
{
    public function __construct(private Field $unit, private Person $from, private Person $to)
    {
    }

    public function reads(): Reads
    {
        return Reads::of(Holdings::key($this->unit, $this->from), Holdings::key($this->unit, $this->to));
    }

    /** @param  string  $typed  how much, as somebody writes it */
    public function do(string $typed, View $memory): ActionDone
    {
        $has = Holdings::has($this->unit, $this->from, $memory);
        $isAll = Fold::caseless(trim($typed)) === 'all';
        $amount = $isAll ? $has : Number::typed(trim($typed));
        $unit = $this->unit->many();
        $least = max(1, $this->unit->leastGift);

        return match (true) {
            ! $this->to->isKnown() => ActionDone::refused('nobody', ['name' => $this->to->name]),
            $this->from->id === $this->to->id => ActionDone::refused('to-oneself', ['unit' => $unit]),
            ! is_int($amount) => ActionDone::refused('no-amount', ['text' => mb_substr($typed, 0, 40)]),
            $amount < 0 => ActionDone::refused('negative', ['amount' => $amount]),
            $amount === 0 => ActionDone::refused('nothing-to-give', ['unit' => $unit]),
            $amount < $least => ActionDone::refused('too-little', ['needs' => $least, 'unit' => $unit]),
            $amount > $has => ActionDone::refused('not-enough', ['unit' => $unit, 'has' => $has, 'needs' => $amount]),
            Holdings::has($this->unit, $this->to, $memory) + $amount > Limits::COUNTER => ActionDone::refused(
                'too-much',
                ['name' => $this->to->name, 'unit' => $unit],
            ),
            default => ActionDone::with(
                [
                    Holdings::add($this->unit, $this->from, -$amount, $memory),
                    Holdings::add($this->unit, $this->to, $amount, $memory),
                ],
                ['name' => $this->to->name, 'before' => $has, 'after' => $has - $amount],
            ),
        };
    }
}
