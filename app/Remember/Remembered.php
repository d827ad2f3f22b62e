<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Counted;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Value\Moment;

/** What a channel remembers, as an author reads it. */
final readonly class Remembered
{
    /** Numbers of one counter that are shown; the highest come first. */
    private const NUMBERS = 8;

    private const HISTORY = 60;

    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /** @return list<array{counter: Counter, numbers: list<array{owner: string, scope: string, number: int}>}> */
    public function counters(Channel $channel): array
    {
        $pack = $this->assembler->names($channel);
        $now = Moment::of(now());
        $names = $this->names($channel);
        $stream = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of(Key::stream()));
        $told = [];
        foreach ($pack->counters as $counter) {
            $period = Counted::period($counter, $stream, $now, $pack->channel->zone);
            $numbers = [];
            foreach ($this->rowsOf($channel, $counter) as $owner => $kept) {
                $owner = (string) $owner;
                if ($counter->scope->hasOwner($owner)) {
                    $numbers[] = ['owner' => $owner, 'scope' => self::scope($owner, $names), 'number' => Counted::number($counter, $kept, $period)];
                }
            }
            usort($numbers, static fn (array $a, array $b): int => $b['number'] <=> $a['number'] ?: $a['scope'] <=> $b['scope']);
            if ($numbers === [] && $counter->scope === CounterScope::Channel) {
                $numbers[] = ['owner' => Key::CHANNEL, 'scope' => 'channel', 'number' => $counter->start];
            }
            $told[] = ['counter' => $counter, 'numbers' => array_slice($numbers, 0, self::NUMBERS)];
        }

        return $told;
    }

    /** @return array<string, string> by name, in the channel's words; empty for those that were never set */
    public function occasions(Channel $channel): array
    {
        $pack = $this->assembler->names($channel);
        $keys = array_map(static fn ($occasion): Key => Key::occasion($occasion->id), $pack->occasions);
        $view = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of(...array_values($keys)));
        $told = [];
        foreach ($pack->occasions as $name => $occasion) {
            $kept = $view->value($keys[$name]);
            $moment = is_string($kept) ? Moment::fromIso($kept) : null;
            $told[$occasion->name] = $moment === null ? '' : (new Printer($pack->channel))->print($moment);
        }

        return $told;
    }

    /** @return list<array{id: int, at: Moment, what: string, scope: string, from: string, to: string, by: string}> newest first */
    public function history(Channel $channel): array
    {
        /** @var list<object{id: int, key: string, before: string, after: string, event_key: string, at: string, person: string|null, user: string|null}> $rows */
        $rows = $this->connection->select(
            "SELECT h.id, h.`key`, h.`before`, h.after, h.event_key, h.at,
                (SELECT JSON_VALUE(l.person, '$.name') FROM heard_lines l WHERE l.channel_id = h.channel_id AND l.event_key = h.event_key AND l.kind = 'heard' LIMIT 1) AS person,
                (SELECT u.name FROM users u WHERE h.event_key LIKE CONCAT('screen ', u.id, ' %') LIMIT 1) AS user
             FROM memory_history h WHERE h.channel_id = ? ORDER BY h.id DESC LIMIT ".self::HISTORY,
            [$channel->id],
        );
        $names = $this->names($channel);

        return array_map(static function (object $row) use ($names): array {
            $key = Key::fromId($row->key);

            return [
                'id' => $row->id, 'at' => Moment::fromIso($row->at) ?? new Moment(0), 'what' => $key === null ? $row->key : "{$key->kind->value}.{$key->name}",
                'scope' => $key === null ? '' : self::scope($key->owner, $names), 'from' => self::told($row->before), 'to' => self::told($row->after), 'by' => $row->person ?? $row->user ?? 'somebody in the chat',
            ];
        }, $rows);
    }

    /** @return array<array-key, null|bool|int|string|array<string, mixed>> by owner; one of digits is a whole number here */
    private function rowsOf(Channel $channel, Counter $counter): array
    {
        $kept = [];
        $prefix = Key::counter($counter->id)->id();
        foreach ($channel->memory()->where('key', 'like', addcslashes($prefix, '%_\\').'%')->get() as $row) {
            $kept[substr($row->key, strlen($prefix))] = $row->value;
        }

        return $kept;
    }

    /** @return array<array-key, string> people's names by their ids */
    private function names(Channel $channel): array
    {
        $names = [];
        foreach ($channel->cast()->get() as $member) {
            $names["cast-{$member->login}"] = $member->name;
        }
        foreach ($channel->memory()->where('key', 'like', Kind::Person->value."\x1F%")->limit(2_000)->get() as $row) {
            if (is_array($row->value) && is_string($row->value['id'] ?? null) && is_string($row->value['name'] ?? null)) {
                $names[$row->value['id']] = $row->value['name'];
            }
        }

        return $names;
    }

    /** @param  array<array-key, string>  $names */
    private static function scope(string $owner, array $names): string
    {
        [$kind, $which] = explode(':', $owner, 2) + [1 => ''];

        return match ($kind) {
            'category' => $which,
            'viewer' => $names[$which] ?? $which,
            default => 'channel',
        };
    }

    private static function told(string $json): string
    {
        $value = json_decode($json, true);

        return match (true) {
            $value === null => 'nothing',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => is_int($value['n'] ?? null) ? (string) $value['n'] : '…',
            default => is_scalar($value) ? (string) $value : '…',
        };
    }
}
