<?php

declare(strict_types=1);

namespace SilverParrot\Document;

use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\LevelRule;

/** Who may change something: {"levels": {"at_least": "moderator"}, "own_only": true, "not_by_hand": true}. */
final class ChangeRuleFormat
{
    private static function read(Document $rule): ChangeRule
    {
        $rule->object(['levels', 'own_only', 'not_by_hand']);

        return new ChangeRule(
            $rule->has('levels') ? LevelFormat::readRule($rule->at('levels')) : new LevelRule,
            $rule->has('own_only') && $rule->at('own_only')->flag(),
            ! $rule->has('not_by_hand') || ! $rule->at('not_by_hand')->flag(),
        );
    }

    /** @return array<string, mixed> empty where everybody may */
    private static function write(ChangeRule $rule): array
    {
        $levels = LevelFormat::writeRule($rule->levels);

        return ($levels === [] ? [] : ['levels' => $levels])
            + ($rule->ownOnly ? ['own_only' => true] : [])
            + ($rule->byHand ? [] : ['not_by_hand' => true]);
    }

    /** Of a definition that may have such a rule. */
    public static function of(Document $definition): ChangeRule
    {
        return $definition->has('changes') ? self::read($definition->at('changes')) : new ChangeRule;
    }

    /** @return array{changes?: array<string, mixed>} of a definition; nothing where everybody may */
    public static function written(ChangeRule $rule): array
    {
        $written = self::write($rule);

        return $written === [] ? [] : ['changes' => $written];
    }
}
