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

    /** @param  list<string>  $besides  what else may stand in the same object */
    public static function readRule(Document $rule, array $besides = []): LevelRule
    {
        $rule->object(['any_of', 'at_least', ...$besides]);
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

    /** The same in one line: "moderator+" for at least, "regular vip" for any of; empty for everybody. */
    public static function line(LevelRule $rule): string
    {
        return match (true) {
            $rule->isForEveryone() => '',
            $rule->atLeast !== null => "{$rule->atLeast->word()}+",
            default => implode(' ', array_map(static fn (Level $level): string => $level->word(), $rule->anyOf)),
        };
    }

    /** As line() writes it; words that are no level are left out. */
    public static function ofLine(string $line): LevelRule
    {
        return str_ends_with($line, '+')
            ? new LevelRule(atLeast: Level::named(rtrim($line, '+')))
            : new LevelRule(Level::allNamed(explode(' ', $line)));
    }
}
