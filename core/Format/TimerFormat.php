<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Memory\PeopleLines;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Timer;

/** {"name": "links", "minutes": 30, "lines": 10, "responses": [{"text": "…"}]} */
final class TimerFormat
{
    public static function read(Document $timer): Timer
    {
        $timer->object(
            ['id', 'name', 'responses', 'order', 'minutes', 'lines', 'within', 'offline_too', 'enabled'],
            ['name', 'responses'],
        );
        $read = new Timer(
            $timer->at('name')->text(60),
            array_map(ResponseFormat::read(...), $timer->at('responses')->items(Timer::MOST_MESSAGES)),
            $timer->has('minutes') ? $timer->at('minutes')->whole(0, Timer::LONGEST) : 30,
            $timer->has('lines') ? $timer->at('lines')->whole(0, Timer::MOST_LINES) : 10,
            ! $timer->has('offline_too') || ! $timer->at('offline_too')->flag(),
            ! $timer->has('enabled') || $timer->at('enabled')->flag(),
            $timer->has('order') ? $timer->at('order')->oneOf(DrawOrder::class) : DrawOrder::InTurn,
            $timer->has('id') ? $timer->at('id')->id() : '',
            $timer->has('within') ? $timer->at('within')->whole(1, PeopleLines::LONGEST) : 0,
        );
        if ($read->minutes === 0 && $read->lines === 0) {
            $timer->flaw(DocumentError::NeverQuiet, []);
        }

        return $read;
    }

    /** @return array<string, mixed> */
    public static function write(Timer $timer): array
    {
        return ($timer->id === $timer->name ? [] : ['id' => $timer->id])
            + ['name' => $timer->name, 'responses' => array_map(
                static fn (CommandResponse $one, int $place): array => ResponseFormat::write($one, $place),
                $timer->command()->responses,
                array_keys($timer->responses),
            )]
            + ($timer->order === DrawOrder::InTurn ? [] : ['order' => $timer->order->value])
            + ['minutes' => $timer->minutes, 'lines' => $timer->lines]
            + ($timer->within === 0 ? [] : ['within' => $timer->within])
            + ($timer->whileLive ? [] : ['offline_too' => true])
            + ($timer->isOn ? [] : ['enabled' => false]);
    }
}
