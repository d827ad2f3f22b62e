<?php

declare(strict_types=1);

namespace SilverParrot\Actions;

use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;

/** How much somebody has of points or goods, and its change. */
final class Holdings
{
    public static function key(Field|Goods $of, Person $person): Key
    {
        return $of instanceof Goods ? Key::goods($of->id, $person->id) : Key::field($of->id, $person->id);
    }

    public static function has(Field|Goods $of, Person $person, View $memory): int
    {
        $kept = $memory->value(self::key($of, $person));
        $start = $of instanceof Field && is_numeric($of->start ?? '') ? (int) $of->start : 0;

        return is_int($kept) ? $kept : $start;
    }

    public static function add(Field|Goods $of, Person $person, int $amount, View $memory): Change
    {
        $key = self::key($of, $person);

        return new Change(
            $key,
            $memory->value($key),
            self::has($of, $person, $memory) + $amount,
            ($of instanceof Goods ? 'goods.' : 'viewer.').$of->name,
            $person->login,
            $amount,
        );
    }
}
