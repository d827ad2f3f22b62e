<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\ChangeRuleFormat;
use SilverParrot\Document\Document;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Guard;
use SilverParrot\Pack\Reset;
use SilverParrot\Source\Limits;

/** {"name": "planks", "scope": "channel", "start": 0, "floor": 0} */
final class CounterFormat
{
    public static function read(Document $counter): Counter
    {
        $counter->object(['id', 'name', 'scope', 'start', 'floor', 'ceiling', 'reset', 'guard', 'changes'], ['name']);
        $bound = static fn (string $key, ?int $default): ?int => match (true) {
            ! $counter->has($key) => $default,
            $counter->at($key)->scalar() === null => null,
            default => $counter->at($key)->whole(-Limits::COUNTER, Limits::COUNTER),
        };

        return new Counter(
            $counter->at('name')->name(),
            $counter->has('scope') ? $counter->at('scope')->oneOf(CounterScope::class) : CounterScope::Channel,
            $bound('start', 0) ?? 0,
            $bound('floor', 0),
            $bound('ceiling', null),
            $counter->has('reset') ? $counter->at('reset')->oneOf(Reset::class) : Reset::Never,
            DefinitionName::id($counter),
            $counter->has('guard') ? self::guard($counter->at('guard')) : new Guard,
            ChangeRuleFormat::of($counter),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Counter $counter): array
    {
        return DefinitionName::written($counter)
            + ($counter->scope === CounterScope::Channel ? [] : ['scope' => $counter->scope->value])
            + ($counter->start === 0 ? [] : ['start' => $counter->start])
            + ($counter->floor === 0 ? [] : ['floor' => $counter->floor])
            + ($counter->ceiling === null ? [] : ['ceiling' => $counter->ceiling])
            + ($counter->reset === Reset::Never ? [] : ['reset' => $counter->reset->value])
            + ($counter->guard->stands()
                ? ['guard' => ['seconds' => $counter->guard->seconds]
                    + ($counter->guard->onlyByAnother ? ['only_by_another' => true] : [])]
                : [])
            + ChangeRuleFormat::written($counter->changes);
    }

    private static function guard(Document $guard): Guard
    {
        $guard->object(['seconds', 'only_by_another'], ['seconds']);

        return new Guard(
            $guard->at('seconds')->whole(1, Guard::LONGEST),
            $guard->has('only_by_another') && $guard->at('only_by_another')->flag(),
        );
    }
}
