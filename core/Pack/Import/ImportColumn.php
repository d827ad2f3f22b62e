<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

/** What a column of a pasted table holds. */
enum ImportColumn: string
{
    case Trigger = 'trigger';

    case Response = 'response';

    case Aliases = 'aliases';

    case Level = 'level';

    /** How long nobody may use it again. */
    case Cooldown = 'cooldown';

    /** How long the same person may not. */
    case PersonCooldown = 'person_cooldown';

    case Group = 'group';

    case Enabled = 'enabled';

    case Note = 'note';

    /** Plain English, as somebody would head such a column; in lower case, with single spaces. */
    private const HEADINGS = [
        'trigger' => ['trigger', 'triggers', 'command', 'commands', 'command name', 'name', 'trigger word'],
        'response' => [
            'response', 'responses', 'reply', 'text', 'message', 'answer', 'says', 'what it says', 'what is said',
            'output', 'content', 'what',
        ],
        'aliases' => ['alias', 'aliases', 'other triggers', 'also', 'other names'],
        'level' => [
            'level', 'levels', 'role', 'roles', 'permission', 'permissions', 'user level', 'access', 'who', 'for',
            'allowed', 'who may', 'who can use it', 'for whom',
        ],
        'cooldown' => [
            'cooldown', 'channel cooldown', 'global cooldown', 'cooldown for all', 'cooldown for everyone', 'wait',
            'pause',
        ],
        'person_cooldown' => [
            'person cooldown', 'user cooldown', 'personal cooldown', 'viewer cooldown', 'cooldown for each person',
            'cooldown per person', 'cooldown per user', 'cooldown per viewer', 'each person',
        ],
        'group' => ['group', 'groups', 'folder', 'section', 'tag'],
        'enabled' => ['enabled', 'active', 'on', 'switched on', 'status', 'state', 'on or off'],
        'note' => ['note', 'notes', 'comment', 'comments', 'description', 'private note'],
    ];

    public function label(): string
    {
        return match ($this) {
            self::Trigger => 'trigger',
            self::Response => 'response',
            self::Aliases => 'aliases',
            self::Level => 'level',
            self::Cooldown => 'cooldown for everyone',
            self::PersonCooldown => 'cooldown for each person',
            self::Group => 'group',
            self::Enabled => 'switched on',
            self::Note => 'private note',
        };
    }

    /** By what stands over it; a unit behind it ("cooldown (s)") is no part of its name. */
    public static function headed(string $heading): ?self
    {
        $name = self::plain($heading);
        foreach (self::HEADINGS as $column => $headings) {
            if (in_array($name, $headings, true)) {
                return self::from($column);
            }
        }

        return null;
    }

    public static function isHeading(string $cell): bool
    {
        return self::headed($cell) !== null;
    }

    /** Whether a cell without a heading over it can be nothing else. */
    public function isPlainly(string $cell): bool
    {
        return match ($this) {
            self::Aliases => array_filter(
                preg_split('/[\s,]+/u', $cell, -1, PREG_SPLIT_NO_EMPTY) ?: [''],
                static fn (string $word): bool => $word === '!' || ! str_starts_with($word, '!'),
            ) === [],
            self::Level => ImportCell::levels($cell) !== null,
            self::Cooldown, self::PersonCooldown => ! is_numeric($cell) && ImportCell::seconds($cell, null) !== null,
            self::Enabled => ! is_numeric($cell) && ImportCell::yes($cell) !== null,
            default => false,
        };
    }

    private static function plain(string $heading): string
    {
        $words = (string) preg_replace('/(?<=\p{Ll})(?=\p{Lu})/u', ' ', mb_substr(trim($heading), 0, 60));
        $words = (string) preg_replace('/\([^()]*\)|[_\-:]| in (?:seconds|minutes|hours)$/iu', ' ', $words);

        return trim((string) preg_replace('/\s+/u', ' ', mb_strtolower($words)));
    }
}
