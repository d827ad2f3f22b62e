<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Web\Hosts;
use App\Web\WebLookups;
use Illuminate\Database\Connection;

/** The hosts that the streamer has allowed, with the look-ups that ask them. */
final readonly class HostsInUse
{
    public function __construct(private Connection $connection)
    {
    }

    /** @return array<string, array<string, string>> names of look-ups by id, by host */
    public function of(Channel $channel): array
    {
        $hosts = array_fill_keys((new Hosts($this->connection))->allowed($channel->id), []);
        foreach ($hosts === [] ? [] : $channel->lookups()->orderBy('name_folded')->get() as $row) {
            $host = WebLookups::hostOf($row->lookup());
            if (isset($hosts[$host])) {
                $hosts[$host][$row->stable_id] = $row->name;
            }
        }

        return $hosts;
    }
}
