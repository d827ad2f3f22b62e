<?php

declare(strict_types=1);

namespace App\Storage\Backup;

/** A table as a backup sees it. */
final readonly class Table
{
    /**
     * @param  list<string>  $key  its primary key
     * @param  string  $owner  the column that says which channel a row belongs to; empty for what belongs to none
     * @param  array<string, string>  $refers  column => the table whose number stands in it
     * @param  list<string>  $gone  columns of these that may name what is gone
     */
    private function __construct(
        public string $name,
        public array $key,
        public string $owner,
        public array $refers,
        public array $gone = [],
    ) {
    }

    /** @return array<string, self> by name, each behind those that it refers to */
    public static function ofChannel(): array
    {
        $numbered = static fn (
            string $name,
            string $column = '',
            string $to = '',
            string $owner = 'channel_id',
        ): self => new self($name, ['id'], $owner, $column === '' ? [] : [$column => $to]);

        return self::byName([
            $numbered('channels', owner: 'id'),
            $numbered('memberships', 'user_id', 'users'),
            $numbered('commands'),
            $numbered('command_aliases', 'command_id', 'commands'),
            $numbered('command_responses', 'command_id', 'commands'),
            $numbered('expectations', 'command_id', 'commands'),
            $numbered('facts'),
            $numbered('lists'),
            $numbered('list_items', 'list_id', 'lists'),
            $numbered('counters'),
            $numbered('occasions'),
            $numbered('fields'),
            $numbered('cast_members'),
            $numbered('emotes'),
            $numbered('goods'),
            $numbered('ladders'),
            $numbered('earnings'),
            $numbered('live_addresses'),
            $numbered('viewers'),
            new self('viewer_names', ['channel_id', 'name', 'viewer_id'], 'channel_id', ['viewer_id' => 'viewers']),
            new self(
                'changes',
                ['id'],
                'channel_id',
                ['user_id' => 'users', 'by_viewer_id' => 'viewers', 'command_id' => 'commands'],
                ['command_id'],
            ),
            new self('definition_changes', ['id'], 'channel_id', ['user_id' => 'users', 'by_viewer_id' => 'viewers']),
            $numbered('editions', 'user_id', 'users'),
            $numbered('counter_numbers', 'viewer_id', 'viewers'),
            $numbered('balances', 'viewer_id', 'viewers'),
            $numbered('viewer_values', 'viewer_id', 'viewers'),
            $numbered('occasion_moments'),
            $numbered('quotes'),
            new self('quote_words', ['channel_id', 'word', 'number'], 'channel_id', []),
            $numbered('last_quotes'),
            $numbered('list_positions', 'viewer_id', 'viewers'),
            $numbered('list_draws'),
            $numbered('items_from_chat'),
            $numbered('sold_goods'),
            $numbered('check_ins', 'viewer_id', 'viewers'),
            $numbered('regulars', 'viewer_id', 'viewers'),
            $numbered('guarded_counts', 'viewer_id', 'viewers'),
            $numbered('noted_numbers'),
            $numbered('longest_runs'),
            $numbered('cooldowns', 'viewer_id', 'viewers'),
            $numbered('command_successes', 'viewer_id', 'viewers'),
            $numbered('timers'),
            $numbered('scripts'),
            $numbered('lookups'),
            $numbered('recorded_answers'),
            $numbered('allowed_hosts', 'user_id', 'users'),
            $numbered('addresses_looked_at'),
            $numbered('effects', 'by_viewer_id', 'viewers'),
            $numbered('timer_states'),
            $numbered('recent_answers', 'viewer_id', 'viewers'),
            $numbered('running_streams'),
            $numbered('ledger', 'viewer_id', 'viewers'),
            // What a backup of the first form holds of memory comes in here, and is put where it belongs.
            new self('memory', ['channel_id', 'key'], 'channel_id', []),
            new self('memory_history', ['id'], 'channel_id', [
                'viewer_id' => 'viewers',
                'by_viewer_id' => 'viewers',
                'user_id' => 'users',
            ]),
            new self('heard_events', ['channel_id', 'event_key'], 'channel_id', []),
            $numbered('outgoing'),
            new self('heard_lines', ['channel_id', 'number'], 'channel_id', []),
        ]);
    }

    /** @return array<string, self> by name; sessions, caches, sign-in links and password links are left out */
    public static function all(): array
    {
        return self::byName([new self('users', ['id'], '', [])]) + self::ofChannel();
    }

    /**
     * @param  list<self>  $tables
     * @return array<string, self>
     */
    private static function byName(array $tables): array
    {
        return array_combine(array_map(static fn (self $table): string => $table->name, $tables), $tables);
    }
}
