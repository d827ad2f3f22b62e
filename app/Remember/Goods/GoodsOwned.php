<?php

declare(strict_types=1);

namespace App\Remember\Goods;

use App\Models\Channel;
use App\Storage\Shelves\Balances;
use Illuminate\Database\Connection;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;

/** How many of each thing were sold, how many are owned, and who has the most. */
final readonly class GoodsOwned
{
    private const SHOWN = 5;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @return list<array{goods: Goods, sold: int, left: int|null, owners: int, owned: int,
     *     most: list<array{id: int, name: string, has: int}>}>
     */
    public function of(Channel $channel, Pack $pack): array
    {
        $sold = [];
        $rows = $this->connection->select('SELECT goods, number FROM sold_goods WHERE channel_id = ?', [$channel->id]);
        foreach ($rows as $row) {
            /** @var object{goods: string, number: int} $row */
            $sold[$row->goods] = $row->number;
        }
        $owned = [];
        foreach (
            $this->connection->select(
                'SELECT unit, COUNT(*) AS owners, SUM(amount) AS owned FROM balances
                 WHERE channel_id = ? AND kind = ? AND amount > 0 GROUP BY unit',
                [$channel->id, Balances::GOODS],
            ) as $row
        ) {
            /** @var object{unit: string, owners: int, owned: int|string} $row */
            $owned[$row->unit] = [$row->owners, (int) $row->owned];
        }
        $told = [];
        foreach ($pack->goods as $goods) {
            $id = Fold::caseless($goods->id);
            $told[] = [
                'goods' => $goods,
                'sold' => $sold[$id] ?? 0,
                'left' => $goods->stock === null ? null : max(0, $goods->stock - ($sold[$id] ?? 0)),
                'owners' => $owned[$id][0] ?? 0,
                'owned' => $owned[$id][1] ?? 0,
                'most' => isset($owned[$id]) ? $this->most($channel, $id) : [],
            ];
        }

        return $told;
    }

    /** @return list<array{id: int, name: string, has: int}> */
    private function most(Channel $channel, string $goods): array
    {
        /** @var list<object{id: int, name: string, login: string, amount: int}> $rows */
        $rows = $this->connection->select(
            'SELECT v.id, v.name, v.login, b.amount FROM balances b JOIN viewers v ON v.id = b.viewer_id
             WHERE b.channel_id = ? AND v.channel_id = b.channel_id AND b.kind = ? AND b.unit = ? AND b.amount > 0
             ORDER BY b.amount DESC, b.viewer_id LIMIT '
                .self::SHOWN,
            [$channel->id, Balances::GOODS, $goods],
        );

        return array_map(
            static fn (object $row): array => [
                'id' => $row->id,
                'name' => $row->name === '' ? $row->login : $row->name,
                'has' => $row->amount,
            ],
            $rows,
        );
    }
}
