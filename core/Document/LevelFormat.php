<?php

declare(strict_types=1);

namespace SilverParrot\Document;

use SilverParrot\Chat\Level;
use SilverParrot\Pack\LevelRule;

/** Levels as words: {"any_of": ["subscriber"]} or {"at_least": "moderator"}. */
final class LevelFormat
{
    public static function read(Document $level): Level
    {
        $word = $level->text(40);
        $found = Level::named($word);
        if ($found === null && $level->isText()) {
            $level->notOneOf($word, Level::words());
        }

        return $found ?? Level::Everyone;
    }

    /** @return list<Level> */
    public static function readAll(Document $levels): array
    {
        return array_map(self::read(...), $levels->items(8));
    }

    public static function readRule(Document $rule): LevelRule
    {
        $rule->object(['any_of', 'at_least']);
        $anyOf = $rule->has('any_of') ? self::readAll($rule->at('any_of')) : [];
        if ($rule->has('any_of') && $anyOf === []) {
            $rule->at('any_of')->flaw(DocumentError::NothingChosen, []);
        }

        return new LevelRule(
            $anyOf,
            $rule->has('at_least') ? self::read($rule->at('at_least')) : null,
        );
    }

    /** @return array<string, mixed> */
    public static function writeRule(LevelRule $rule): array
    {
        return ($rule->anyOf === []
            ? []
            : ['any_of' => array_map(static fn (Level $level): string => $level->word(), $rule->anyOf)])
            + ($rule->atLeast === null ? [] : ['at_least' => $rule->atLeast->word()]);
    }
}
