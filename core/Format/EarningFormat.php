<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Pack\EarnedBy;
use SilverParrot\Pack\Earning;
use SilverParrot\Pack\LevelRule;

/** {"id": "…", "unit": "pebbles", "by": "being_here", "amount": 5, "minutes": 10} */
final class EarningFormat
{
    public const MOST = 1_000_000;

    public static function read(Document $earning): Earning
    {
        $earning->object(
            ['id', 'unit', 'by', 'amount', 'minutes', 'levels', 'offline_too', 'happening'],
            ['id', 'unit', 'by', 'amount'],
        );

        return new Earning(
            $earning->at('id')->id(),
            $earning->at('unit')->id(),
            $earning->at('by')->oneOf(EarnedBy::class),
            $earning->at('amount')->whole(1, self::MOST),
            $earning->has('minutes') ? $earning->at('minutes')->whole(0, Earning::LONGEST) : 0,
            $earning->has('levels') ? LevelFormat::readRule($earning->at('levels')) : new LevelRule,
            ! $earning->has('offline_too') || ! $earning->at('offline_too')->flag(),
            $earning->has('happening') ? $earning->at('happening')->name() : '',
        );
    }

    /** @return array<string, mixed> */
    public static function write(Earning $earning): array
    {
        $levels = LevelFormat::writeRule($earning->levels);

        return [
            'id' => $earning->id,
            'unit' => $earning->unit,
            'by' => $earning->by->value,
            'amount' => $earning->amount,
        ]
            + ($earning->minutes === 0 ? [] : ['minutes' => $earning->minutes])
            + ($levels === [] ? [] : ['levels' => $levels])
            + ($earning->whileLive ? [] : ['offline_too' => true])
            + ($earning->happening === '' ? [] : ['happening' => $earning->happening]);
    }
}
