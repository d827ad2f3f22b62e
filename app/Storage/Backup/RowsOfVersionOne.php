<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use SilverParrot\Memory\Key;

/**
 * Rows as they were before a command's gates were values of their own and every definition had an id that stays:
 * brought into the form of today, when the tables are brought up to date and when an older backup is put back. What was
 * told apart by its name has that name for an id, so that all that is remembered under it stays with it.
 */
final class RowsOfVersionOne
{
    /** Tables whose rows are told apart by this column. */
    private const NAMED = [
        'commands' => 'trigger',
        'facts' => 'name',
        'lists' => 'name',
        'counters' => 'name',
        'occasions' => 'name',
        'fields' => 'name',
        'goods' => 'name',
        'ladders' => 'name',
        'emotes' => 'word',
    ];

    /** @var array<int, array<string, int>> how often an item was there before, by list and text */
    private array $times = [];

    /**
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>
     */
    public function row(string $table, array $row): array
    {
        return match (true) {
            isset($row['stable_id']) => $row,
            $table === 'commands' => self::command($row),
            $table === 'command_responses' => array_diff_key($row, ['text' => true]) + [
                'stable_id' => self::text($row['position'] ?? 0),
                'steps' => self::json([['say' => self::text($row['text'] ?? '')]]),
            ],
            $table === 'memory_history' => self::history($row),
            $table === 'list_items' => $row + ['stable_id' => $this->item($row)],
            isset(self::NAMED[$table]) => $row + ['stable_id' => self::text($row[self::NAMED[$table]] ?? '')],
            default => $row,
        };
    }

    /**
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>
     */
    private static function command(array $row): array
    {
        $anyOf = json_decode(self::text($row['any_of'] ?? '[]'), true);
        $levels = match (true) {
            is_string($row['at_least'] ?? null) => ['at_least' => $row['at_least']],
            $anyOf === [] => [],
            default => ['any_of' => $anyOf],
        };
        $gates = ((bool) ($row['enabled'] ?? true) ? [] : ['enabled' => false])
            + ($levels === [] ? [] : ['levels' => $levels]) + [
                'cooldown' => [
                    'channel' => (int) self::text($row['channel_cooldown'] ?? 10),
                    'person' => (int) self::text($row['person_cooldown'] ?? 60),
                ],
            ];
        $refusals = array_filter(
            [
                'level' => self::text($row['level_refusal'] ?? ''),
                'cooldown' => self::text($row['cooldown_refusal'] ?? ''),
            ],
            static fn (string $text): bool => $text !== '',
        );

        return array_diff_key(
            $row,
            array_flip([
                'any_of',
                'at_least',
                'enabled',
                'channel_cooldown',
                'person_cooldown',
                'level_refusal',
                'cooldown_refusal',
            ]),
        )
        // What cannot be read stays what cannot be read, and is found as such; it must not open a command to everybody.
        + [
            'stable_id' => self::text($row['trigger'] ?? ''),
            'gates' => is_array($anyOf) ? self::json($gates) : '{',
            'refusals' => self::json((object) $refusals),
        ];
    }

    /**
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>
     */
    private static function history(array $row): array
    {
        $key = Key::fromId(self::text($row['key'] ?? ''));
        // A correction at the screens was known by its event's key.
        $isByUser = preg_match('/^screen (\d{1,18}) /', self::text($row['event_key'] ?? ''), $user) === 1;

        return array_diff_key($row, ['key' => true]) + [
            'kind' => $key->kind->value ?? '',
            'name' => $key->name ?? '',
            'owner' => $key->owner->id ?? '',
            'user_id' => $isByUser ? (int) $user[1] : null,
        ];
    }

    /** @param  array<string, null|bool|float|int|string>  $row */
    private function item(array $row): string
    {
        $list = (int) self::text($row['list_id'] ?? 0);
        $key = 'i'.hash('xxh64', self::text($row['text'] ?? ''));
        $times = $this->times[$list][$key] = ($this->times[$list][$key] ?? 0) + 1;

        return $times === 1 ? $key : "$key-$times";
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
