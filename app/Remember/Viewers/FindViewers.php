<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Models\Channel;
use App\Storage\Shelves\Balances;
use Illuminate\Database\Connection;
use SilverParrot\Source\Fold;

/** Viewers by any name they had, and by how much they have of something. */
final readonly class FindViewers
{
    public const SHOWN = 50;

    /** What they can be sorted by, besides each field that holds whole numbers. */
    public const ORDERS = ['last_seen', 'first_seen', 'lines'];

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param  string  $by  one of ORDERS, or "unit ID"
     * @return list<object{id: int, login: string, name: string, lines: int|null, first_seen: string|null,
     *     last_seen: string|null, amount: int|null}> at most one more than are shown
     */
    public function of(Channel $channel, string $find, string $by, int $page): array
    {
        $unit = str_starts_with($by, 'unit ') ? Fold::caseless(substr($by, 5)) : null;
        [$find, $limit] = [Fold::caseless(ltrim(trim($find), '@')), self::SHOWN + 1];
        $offset = ($page - 1) * self::SHOWN;
        $values = [];
        $from = 'viewers v';
        if ($unit !== null) {
            $from = 'balances b JOIN viewers v ON v.id = b.viewer_id';
        }
        $where = "v.channel_id = ? AND v.name <> ''";
        $values[] = $channel->id;
        if ($unit !== null) {
            $where .= ' AND b.channel_id = ? AND b.kind = ? AND b.unit = ?';
            array_push($values, $channel->id, Balances::FIELD, $unit);
        }
        if ($find !== '') {
            $where .= ' AND v.id IN (SELECT viewer_id FROM viewer_names WHERE channel_id = ? AND name LIKE ?)';
            array_push($values, $channel->id, addcslashes($find, '%_\\').'%');
        }
        $order = $unit !== null ? 'b.amount' : 'v.`'.(in_array($by, self::ORDERS, true) ? $by : 'last_seen').'`';
        $amount = $unit === null ? 'NULL' : 'b.amount';
        /**
         * @var list<object{id: int, login: string, name: string, lines: int|null, first_seen: string|null,
         *     last_seen: string|null, amount: int|null}> $rows
         */
        $rows = $this->connection->select(
            "SELECT v.id, v.login, v.name, v.`lines`, v.first_seen, v.last_seen, $amount AS amount FROM $from "
                ."WHERE $where ORDER BY $order DESC LIMIT $limit OFFSET ".max(0, $offset),
            $values,
        );

        return $rows;
    }
}
