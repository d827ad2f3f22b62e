<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** A trigger that is only a mark, or an everyday word without one. */
final readonly class TriggerTooCommon extends AbstractCheck
{
    public function code(): string
    {
        return 'trigger-too-common';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{trigger} is {what}, so it would answer lines that are not meant for it.';
    }

    public function mend(): string
    {
        return 'Put a “!” before it, or take another word.';
    }

    public function reason(): string
    {
        return 'An answer to every second line drowns a chat.';
    }

    /** Words that begin many lines of any chat (common practice). */
    private const EVERYDAY = [
        'a',
        'ah',
        'and',
        'are',
        'but',
        'can',
        'do',
        'gg',
        'go',
        'good',
        'ha',
        'haha',
        'hello',
        'hey',
        'hi',
        'how',
        'i',
        'if',
        'in',
        'is',
        'it',
        'lol',
        'me',
        'my',
        'nice',
        'no',
        'not',
        'of',
        'oh',
        'ok',
        'okay',
        'on',
        'or',
        'please',
        'so',
        'thanks',
        'that',
        'the',
        'this',
        'to',
        'we',
        'what',
        'when',
        'who',
        'why',
        'wow',
        'yeah',
        'yes',
        'you',
    ];

    public static function isEveryday(string $trigger): bool
    {
        return in_array(Fold::caseless($trigger), self::EVERYDAY, true);
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach (
                $command->isOn() ? $command->triggers->byPlace() : [] as $place => $trigger
            ) {
                $what = match (true) {
                    // Who writes has not come to it yet, and cannot save without one.
                    $trigger === '' => null,
                    preg_match('/[\p{L}\p{N}]/u', $trigger) !== 1 => 'only a mark',
                    self::isEveryday($trigger) => 'an everyday word',
                    default => null,
                };
                if ($what !== null) {
                    $findings[] = new Finding(
                        $this,
                        null,
                        "/commands/$index/$place",
                        ['trigger' => $trigger, 'what' => $what],
                    );
                }
            }
        }

        return $findings;
    }
}
