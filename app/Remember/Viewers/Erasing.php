<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Models\Channel;
use App\Rehearse\Evenings\LogFiles;
use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Source\Fold;

/**
 * Forgets who somebody is, for good: amounts stay, under "someone who left"; names, texts, and lines by and about them
 * go. Who was erased is known by a hash alone, so that a backup that is put back brings nobody back.
 */
final readonly class Erasing
{
    public const NOBODY = 'someone who left';

    /** The same where a login is wanted. */
    public const NOBODY_LOGIN = 'someone_who_left';

    /** A line of which nothing is left but that there was one. */
    private const EMPTIED = "text = '', findable = '', outcome = '', memory = '{}', readings = '{}'";

    public function __construct(private Connection $connection)
    {
    }

    public function of(Channel $channel, int $number): bool
    {
        $isGone = $this->connection->transaction(function () use ($channel, $number): bool {
            $this->connection->selectOne('SELECT id FROM channels WHERE id = ? FOR UPDATE', [$channel->id]);
            /** @var object{service: string, service_id: string, login: string, name: string}|null $row */
            $row = $this->connection->selectOne(
                'SELECT service, service_id, login, name FROM viewers WHERE channel_id = ? AND id = ?',
                [$channel->id, $number],
            );
            if ($row === null || $row->name === self::NOBODY) {
                return false;
            }
            $person = Viewers::personId($row->service, $row->service_id);
            $names = $this->names($channel->id, $number, [$row->login, Fold::caseless($row->name)]);
            $this->connection->insert(
                'INSERT IGNORE INTO erased_people (channel, person_hash, erased_at) VALUES (?, ?, UTC_TIMESTAMP())',
                [$channel->login, hash('sha256', $person)],
            );
            $this->forgetIdentity($channel->id, $number);
            $this->forgetTexts($channel->id, $number, $person, $names);
            $this->forgetCredits($channel->id, $names);
            $this->forgetKept($channel->id, $names);
            // What rehearsals found and heard of real chats is kept for days only, and can be had again.
            $this->connection->delete('DELETE FROM rehearsals WHERE channel_id = ?', [$channel->id]);
            // The talker knows people by numbers that it has kept: it takes the channel anew, and learns them anew.
            $this->connection->update('UPDATE channels SET lease_epoch = lease_epoch + 1 WHERE id = ?', [$channel->id]);

            return true;
        });
        if ($isGone) {
            LogFiles::forgetAll($channel->id);
        }

        return $isGone;
    }

    /** Whoever was erased before and came back with a backup goes again. */
    public function again(Channel $channel): int
    {
        $erased = $this->connection
            ->table('erased_people')
            ->where('channel', $channel->login)
            ->pluck('person_hash', 'person_hash')
            ->all();
        $count = 0;
        foreach (
            $erased === []
                ? []
                : $this->connection->table('viewers')->where('channel_id', $channel->id)->lazyById(1_000) as $row
        ) {
            /** @var object{id: int, service: string, service_id: string} $row */
            $isErased = isset($erased[hash('sha256', Viewers::personId($row->service, $row->service_id))]);
            $count += $isErased && $this->of($channel, $row->id) ? 1 : 0;
        }

        return $count;
    }

    /**
     * @param  list<string>  $known
     * @return list<string> all that they were called, folded
     */
    private function names(int $channel, int $number, array $known): array
    {
        $names = $this->connection
            ->table('viewer_names')
            ->where('channel_id', $channel)
            ->where('viewer_id', $number)
            ->pluck('name')
            ->all();

        return array_values(
            array_filter(
                array_unique([...$known, ...array_filter($names, is_string(...))]),
                static fn (string $name): bool => $name !== '',
            ),
        );
    }

    private function forgetIdentity(int $channel, int $number): void
    {
        $nobody = 'left-'.bin2hex(random_bytes(8));
        $this->connection->update(
            "UPDATE viewers SET service = 'left', service_id = ?, login = ?, name = ?, levels = '[]', tier = 0, "
                ."logins_before = '[]', first_seen = NULL, last_seen = NULL WHERE channel_id = ? AND id = ?",
            [$nobody, $nobody, self::NOBODY, $channel, $number],
        );
        $this->connection->update(
            'UPDATE memory_history SET owner = ? WHERE channel_id = ? AND viewer_id = ?',
            ["viewer:left:$nobody", $channel, $number],
        );
        // What waits for a yes is theirs to ask for; what was done stays, by nobody.
        $this->connection->delete(
            "DELETE FROM effects WHERE channel_id = ? AND by_viewer_id = ? AND state IN ('waiting', 'begun', 'asked')",
            [$channel, $number],
        );
        $this->connection->update(
            "UPDATE effects SET goes_on = '[]', effect = '[]', outcome = NULL WHERE channel_id = ? AND by_viewer_id = "
                .'?',
            [$channel, $number],
        );
        foreach (['viewer_names', 'viewer_values', 'check_ins', 'regulars'] as $table) {
            $this->connection->delete("DELETE FROM $table WHERE channel_id = ? AND viewer_id = ?", [$channel, $number]);
        }
        // What fields held were texts of theirs; whole numbers stay.
        $this->connection->update(
            "UPDATE memory_history SET `before` = 'null', after = 'null' WHERE channel_id = ? AND viewer_id = ? AND "
                ."kind = 'field' AND (`before` NOT REGEXP '^(null|-?[0-9]+)$' OR after NOT REGEXP '^(null|-?[0-9]+)$')",
            [$channel, $number],
        );
    }

    /** @param  list<string>  $names */
    private function forgetTexts(int $channel, int $number, string $person, array $names): void
    {
        $nobody = json_encode(['id' => '', 'login' => '', 'name' => self::NOBODY, 'levels' => [], 'tier' => 0]);
        $this->connection->update(
            'UPDATE heard_lines SET '.self::EMPTIED.", person = ? WHERE channel_id = ? AND JSON_VALUE(person, '$.id') "
                .'= ?',
            [$nobody, $channel, $person],
        );
        foreach ($names as $name) {
            $word = self::word($name);
            $this->connection->update(
                'UPDATE heard_lines SET '.self::EMPTIED.' WHERE channel_id = ? AND text REGEXP ?',
                [$channel, $word],
            );
            $this->connection->update(
                "UPDATE outgoing SET text = '', to_login = '' WHERE channel_id = ? AND (text REGEXP ? OR to_login = ?) "
                    ."AND state <> 'queued'",
                [$channel, $word, $name],
            );
        }
    }

    /** As a word of its own: whoever is called Ann is not in every annual. */
    private static function word(string $name): string
    {
        return '(?i)(?<![\p{L}\p{N}_])'.preg_quote($name).'(?![\p{L}\p{N}_])';
    }

    /**
     * Scripts and replies kept as expected stay, and may be of a line of the real chat: their author's own people, who
     * may be called alike, are nobody's.
     *
     * @param  list<string>  $names
     */
    private function forgetKept(int $channel, array $names): void
    {
        $cast = $this->connection->table('cast_members')->where('channel_id', $channel)->get(['login', 'name']);
        $invented = array_map(Fold::caseless(...), [
            ...array_filter($cast->pluck('login')->all(), is_string(...)),
            ...array_filter($cast->pluck('name')->all(), is_string(...)),
        ]);
        foreach (array_diff($names, $invented) as $name) {
            // Documents may hold letters beyond ASCII as signs of their own.
            $escaped = trim(json_encode($name, JSON_THROW_ON_ERROR), '"');
            foreach (array_unique([$name, $escaped]) as $written) {
                $given = [self::word($written), self::NOBODY_LOGIN, $channel];
                foreach (['scripts' => ['title', 'text'], 'expectations' => ['document']] as $table => $columns) {
                    foreach ($columns as $column) {
                        $this->connection->update(
                            "UPDATE $table SET $column = REGEXP_REPLACE($column, ?, ?) WHERE channel_id = ?",
                            $given,
                        );
                    }
                }
                foreach (['before', 'after'] as $column) {
                    $this->connection->update(
                        "UPDATE definition_changes SET `$column` = REGEXP_REPLACE(`$column`, ?, ?) "
                            ."WHERE channel_id = ? AND kind = 'scripts'",
                        $given,
                    );
                }
            }
        }
    }

    /**
     * Quotes stay, without whose they are.
     *
     * @param  list<string>  $names
     */
    private function forgetCredits(int $channel, array $names): void
    {
        foreach ($names as $name) {
            $numbers = $this->connection
                ->table('quotes')
                ->where('channel_id', $channel)
                ->where('credits_folded', $name)
                ->pluck('number')
                ->all();
            foreach ($numbers as $quote) {
                $this->connection
                    ->table('quotes')
                    ->where('channel_id', $channel)
                    ->where('number', $quote)
                    ->update(['credits' => self::NOBODY, 'credits_folded' => self::NOBODY, 'link' => '']);
                $this->connection
                    ->table('quote_words')
                    ->where('channel_id', $channel)
                    ->where('number', $quote)
                    ->whereIn('word', QuoteSearch::words($name)->words)
                    ->delete();
            }
            $this->connection
                ->table('quotes')
                ->where('channel_id', $channel)
                ->where('kept_by', $name)
                ->update(['kept_by' => '']);
        }
    }
}
