<?php

declare(strict_types=1);

namespace App\Write;

use App\Air\LogEntry;
use App\Models\Channel;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Connection;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\ChatSample;
use SilverParrot\Source\Fold;

/** The chats in which phrases are tried: the one that ships, and what was heard in the last weeks. */
final readonly class PhraseSamples
{
    public const WEEKS = 4;

    public function __construct(private Connection $connection)
    {
    }

    public static function shipped(): ChatSample
    {
        return ChatSample::of(ChatFile::read((string) file_get_contents(base_path('docs/examples/cove.chat.txt'))));
    }

    /** An evening goes on until six in the morning where the channel is. */
    public function heard(Channel $channel): ChatSample
    {
        $first = $this->connection
            ->table('heard_lines')
            ->where('channel_id', $channel->id)
            ->where('at', '>=', now('UTC')->subWeeks(self::WEEKS))
            ->orderBy('at')
            ->value('number');
        $last = $this->connection->table('heard_lines')->where('channel_id', $channel->id)->max('number');
        $all = is_int($first) && is_int($last) ? $last - $first + 1 : 0;
        $every = max(1, (int) ceil($all / ChatSample::MOST));
        $rows = $all === 0 ? [] : $this->connection->select(
            'SELECT number, text, at FROM heard_lines WHERE channel_id = ? AND number >= ? AND number % ? = 0 AND '
                ."kind = ? AND text <> '' ORDER BY number LIMIT ".ChatSample::MOST,
            [$channel->id, $first, $every, LogEntry::HEARD],
        );
        $zone = new DateTimeZone($channel->zone);
        $offsets = $lines = [];
        foreach ($rows as $row) {
            /** @var object{number: int, text: string, at: string} $row */
            $second = (int) strtotime(substr($row->at, 0, 19).' UTC');
            // Once an hour is enough to ask how far the clocks are from UTC.
            $offset = $offsets[intdiv($second, 3_600)] ??= $zone->getOffset(
                new DateTimeImmutable("@$second"),
            );
            $lines[] = [
                'number' => $row->number,
                'text' => $row->text,
                'evening' => (string) intdiv($second + $offset - 21_600, 86_400),
                'second' => $second,
            ];
        }

        return new ChatSample($lines, $every);
    }

    /**
     * @param  list<int>  $numbers  of lines that were heard
     * @return array<int, string> who wrote them, by number; without those who talk by themselves
     */
    public function writers(Channel $channel, array $numbers): array
    {
        $talkers = array_map(Fold::caseless(...), [$channel->parrot, ...$channel->talkers]);
        $names = [];
        foreach (
            $numbers === [] ? [] : $this->connection
                ->table('heard_lines')
                ->where('channel_id', $channel->id)
                ->whereIn('number', $numbers)
                ->pluck('person', 'number') as $number => $person
        ) {
            $person = is_string($person) ? json_decode($person, true) : null;
            $login = is_array($person) && is_string($person['login'] ?? null) ? $person['login'] : '';
            if (! in_array(Fold::caseless($login), $talkers, true)) {
                $names[(int) $number] = is_array($person) && is_string($person['name'] ?? null) ? $person['name'] : '';
            }
        }

        return $names;
    }
}
