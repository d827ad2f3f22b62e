<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use Illuminate\Database\Connection;
use Illuminate\Support\Carbon;
use SilverParrot\Memory\Kind;

/** Who changed what is remembered under a name last, and when. */
final readonly class LastChanges
{
    private const KINDS = [Kind::Counter, Kind::Field, Kind::Goods, Kind::Occasion];

    public function __construct(private Connection $connection)
    {
    }

    /** @return array<string, string> “last changed by Bram 2 days ago”, by kind and folded id: "counter splinters" */
    public function of(Channel $channel): array
    {
        $kinds = array_map(static fn (Kind $kind): string => $kind->value, self::KINDS);
        $marks = implode(',', array_fill(0, count($kinds), '?'));
        $told = [];
        foreach (
            $this->connection->select(
                "SELECT h.kind, h.name, h.at, u.name AS user, COALESCE(NULLIF(b.name, ''), b.login) AS person
                 FROM (SELECT MAX(id) AS id FROM memory_history WHERE channel_id = ? AND kind IN ($marks)
                    GROUP BY kind, name) AS last
                 JOIN memory_history h ON h.id = last.id
                 LEFT JOIN viewers b ON b.id = h.by_viewer_id LEFT JOIN users u ON u.id = h.user_id
                 WHERE h.channel_id = ?",
                [$channel->id, ...$kinds, $channel->id],
            ) as $row
        ) {
            /** @var object{kind: string, name: string, at: string, user: string|null, person: string|null} $row */
            $who = $row->person ?? $row->user;
            $told["{$row->kind} {$row->name}"] = 'last changed '.($who === null ? '' : "by $who ")
                .Carbon::parse($row->at)->diffForHumans();
        }

        return $told;
    }
}
