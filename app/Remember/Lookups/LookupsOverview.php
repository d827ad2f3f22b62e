<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Models\Channel;
use App\Remember\UsesOfNames;
use App\Web\AddressesLookedAt;
use App\Web\Hosts;
use Illuminate\Database\Connection;

/** All look-ups of a channel with what uses them, and who may be asked. */
final readonly class LookupsOverview
{
    public function __construct(private Connection $connection, private UsesOfNames $uses)
    {
    }

    /** @return array<string, mixed> for the page */
    public function of(Channel $channel): array
    {
        return [
            'rows' => $channel->lookups()->orderBy('name_folded')->get(),
            'hosts' => $this->connection->table('web_hosts')->where('channel_id', $channel->id)->get()->keyBy('host'),
            'allowed' => (new Hosts($this->connection))->allowed($channel->id),
            'uses' => $this->uses->all($channel),
            'addresses' => $this->connection->table('addresses_looked_at')->where('channel_id', $channel->id)->count(),
            'wrong' => AddressesLookedAt::wrong($channel),
        ];
    }
}
