<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Source\Message;

/** Who may change something, in a few words: “changed by moderators and up alone, never by hand”. */
final class ChangeRuleSummary
{
    /** @return list<Message> empty where everybody may, and by hand too */
    public static function of(ChangeRule $rule): array
    {
        return [
            ...($rule->levels->isForEveryone()
                ? []
                : [new Message('changing.levels', ['who' => $rule->levels->inWords()])]),
            ...($rule->ownOnly ? [new Message('changing.own-only')] : []),
            ...($rule->byHand ? [] : [new Message('changing.not-by-hand')]),
        ];
    }
}
