<?php

declare(strict_types=1);

namespace App\Web;

use App\Models\Channel;
use Illuminate\Database\Connection;
use SilverParrot\Lookup\Address\AddressState;
use SilverParrot\Lookup\Address\LookedAt;
use SilverParrot\Value\Moment;

/** What came of looking at the addresses of a channel's responses, and which are to be looked at again. */
final readonly class AddressesLookedAt
{
    /** Hours between two looks at one. */
    private const HOURS = 24;

    public function __construct(private Connection $connection)
    {
    }

    /** @return array<string, LookedAt> those that do not lead where they did, by address */
    public static function wrong(Channel $channel): array
    {
        $wrong = [];
        $rows = $channel
            ->getConnection()
            ->table('addresses_looked_at')
            ->where('channel_id', $channel->id)
            ->where('state', '<>', AddressState::Fine->value)
            ->orderBy('id')
            ->get(['address', 'state', 'moved_to']);
        foreach ($rows as $row) {
            /** @var object{address: string, state: string, moved_to: string} $row */
            $wrong[$row->address] = new LookedAt(
                AddressState::tryFrom($row->state) ?? AddressState::Fine,
                $row->moved_to,
            );
        }

        return $wrong;
    }

    /** @param  list<string>  $written  what is not written any more is forgotten */
    public function forgetBut(int $channel, array $written): void
    {
        $this->connection
            ->table('addresses_looked_at')
            ->where('channel_id', $channel)
            ->whereNotIn('hash', array_map(self::hash(...), $written))
            ->delete();
    }

    /**
     * @param  list<string>  $addresses  that may be looked at
     * @return list<string> those that are due, those that nobody ever looked at first
     */
    public function due(int $channel, array $addresses, Moment $now, int $most): array
    {
        $known = $this->connection
            ->table('addresses_looked_at')
            ->where('channel_id', $channel)
            ->pluck('at', 'hash')
            ->all();
        $hashes = array_map(self::hash(...), $addresses);
        $before = self::time($now->plusMillis(-self::HOURS * 3_600_000));
        $due = array_filter(array_combine($addresses, array_map(
            static fn (string $hash): string => is_string($known[$hash] ?? null) ? $known[$hash] : '',
            $hashes,
        )), static fn (string $at): bool => $at <= $before);
        asort($due);

        return array_map(strval(...), array_slice(array_keys($due), 0, $most));
    }

    public function keep(int $channel, string $address, LookedAt $looked, Moment $at): void
    {
        $this->connection->table('addresses_looked_at')->upsert([[
            'channel_id' => $channel,
            'hash' => self::hash($address),
            'address' => $address,
            'state' => $looked->state->value,
            'moved_to' => $looked->to,
            'at' => self::time($at),
        ]], ['channel_id', 'hash'], ['state', 'moved_to', 'at']);
    }

    private static function hash(string $address): string
    {
        return hash('xxh128', $address);
    }

    private static function time(Moment $moment): string
    {
        return str_replace(['T', 'Z'], [' ', ''], $moment->iso());
    }
}
