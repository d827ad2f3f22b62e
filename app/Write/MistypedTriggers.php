<?php

declare(strict_types=1);

namespace App\Write;

use App\Air\LogEntry;
use App\Models\Channel;
use App\Storage\Assembler;
use Illuminate\Database\Connection;
use SilverParrot\Hearing\TriggerMatch;

/** What people wrote to the parrot in the last weeks that is nobody's trigger, and what they may have meant. */
final readonly class MistypedTriggers
{
    private const WEEKS = 4;

    /** The last lines that are looked through. */
    private const LINES = 20_000;

    /** Words that are told. */
    private const MOST = 10;

    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /** @return list<array{typed: string, times: int, meant: string}> the most frequent first */
    public function of(Channel $channel): array
    {
        $lines = self::LINES;
        $rows = $this->connection->select(
            "SELECT LOWER(SUBSTRING_INDEX(text, ' ', 1)) AS typed, COUNT(*) AS times FROM heard_lines WHERE "
                .'channel_id = ? AND number > (SELECT COALESCE(MAX(number), 0) FROM heard_lines AS newest WHERE '
                ."newest.channel_id = ?) - $lines AND at >= ? AND kind = ? AND outcome = '' AND "
                ."text REGEXP '^[^[:alnum:][:space:]@]' GROUP BY typed ORDER BY times DESC, typed LIMIT 200",
            [$channel->id, $channel->id, now('UTC')->subWeeks(self::WEEKS), LogEntry::HEARD],
        );
        if ($rows === []) {
            return [];
        }
        $pack = $this->assembler->reachedBy($channel, []);
        $told = [];
        foreach ($rows as $row) {
            /** @var object{typed: string, times: int} $row */
            [$typed, $meant] = TriggerMatch::mistyped($pack, $row->typed) ?? ['', null];
            $command = $meant === null ? null : $pack->command($meant);
            if ($command !== null && TriggerMatch::in($pack, $typed) === null) {
                $told[] = ['typed' => $typed, 'times' => $row->times, 'meant' => $command->trigger];
            }
        }

        return array_slice($told, 0, self::MOST);
    }
}
