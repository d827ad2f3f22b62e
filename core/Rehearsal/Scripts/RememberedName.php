<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;

/**
 * What a script calls something remembered: “counter.planks”, “counter.splinters of Planking”, “viewer.pebbles of
 * tamsin”, “goods.rope of tamsin”, “occasion.leak”.
 */
final class RememberedName
{
    public static function key(string $name, Pack $pack): ?Key
    {
        [$what, $of] = explode(' of ', $name, 2) + [1 => ''];
        [$kind, $named] = explode('.', $what, 2) + [1 => ''];
        $folded = Fold::caseless($named);

        return match ($kind) {
            'counter' => isset($pack->counters[$folded])
                ? Key::counter($pack->counters[$folded]->id, self::owner($pack->counters[$folded]->scope, $of))
                : null,
            'occasion' => isset($pack->occasions[$folded]) ? Key::occasion($pack->occasions[$folded]->id) : null,
            'viewer' => isset($pack->fields[$folded]) && $of !== ''
                ? Key::field($pack->fields[$folded]->id, CastMember::idOf($of))
                : null,
            'goods' => isset($pack->goods[$folded]) && $of !== ''
                ? Key::goods($pack->goods[$folded]->id, CastMember::idOf($of))
                : null,
            default => null,
        };
    }

    private static function owner(CounterScope $scope, string $of): Owner
    {
        return match (true) {
            $of === '' && $scope->hasSum() => Owner::total(),
            $of === '' || $scope === CounterScope::Channel => Owner::channel(),
            $scope === CounterScope::Category => Owner::category($of),
            default => Owner::viewer(CastMember::idOf($of)),
        };
    }

    public static function written(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value), is_string($value) => (string) $value,
            default => 'nothing',
        };
    }

    /** @param  null|bool|int|string|array<string, mixed>  $value  of a change */
    public static function number(null|bool|int|string|array $value): int
    {
        $number = is_array($value) ? $value['n'] ?? 0 : $value;

        return is_int($number) ? $number : 0;
    }
}
