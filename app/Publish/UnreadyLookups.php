<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\LookupRow;
use App\Web\Hosts;
use App\Web\WebLookups;
use Illuminate\Database\Connection;

/** Look-ups of a draft that would say nothing on the air, or were never seen to say anything. */
final readonly class UnreadyLookups
{
    public function __construct(private Connection $connection)
    {
    }

    /** @return list<array{name: string, id: string, why: string}> */
    public function of(Channel $channel): array
    {
        $rows = $channel->lookups()->orderBy('name_folded')->get();
        if ($rows->isEmpty()) {
            return [];
        }
        $allowed = (new Hosts($this->connection))->allowed($channel->id);
        $answered = $this->connection
            ->table('recorded_answers')
            ->where('channel_id', $channel->id)
            ->pluck('lookup')
            ->flip()
            ->all();
        $unready = [];
        foreach ($rows as $row) {
            $why = self::why($row, $allowed, $answered);
            if ($why !== '') {
                $unready[] = ['name' => $row->name, 'id' => $row->stable_id, 'why' => $why];
            }
        }

        return $unready;
    }

    /**
     * @param  list<string>  $allowed
     * @param  array<array-key, mixed>  $answered  by id
     */
    private static function why(LookupRow $row, array $allowed, array $answered): string
    {
        $lookup = $row->lookup();
        $host = WebLookups::hostOf($lookup);

        return match (true) {
            $host === '' => 'has an address that nobody can ask',
            ! in_array($host, $allowed, true) => "asks $host, which the streamer hasn’t allowed",
            $lookup->readings === [] => 'reads nothing yet',
            ! isset($answered[$row->stable_id]) => 'was never tried',
            default => '',
        };
    }
}
