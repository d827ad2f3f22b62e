<?php

declare(strict_types=1);

namespace App\Remember\Lists;

use App\Models\Channel;
use App\Models\TextListRow;
use Illuminate\Database\Connection;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Chance\Draws;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\DrawTable;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Fold;

/** What came up of a list on the air, what was to be expected, and what a thousand draws would give. */
final readonly class ListDrawn
{
    /** Items that the picture has room for, the heaviest of all. */
    private const SHOWN = 24;

    private const THOUSAND = 1_000;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @return array{bars: list<array{text: string, share: float, expected: float, came: int, thousand: int}>,
     *     total: int, unlikely: bool, most: float}
     */
    public function of(Channel $channel, TextListRow $list): array
    {
        $items = [];
        $rows = $list->items()->where('is_on', true)->toBase()->get(['stable_id', 'text', 'weight']);
        foreach ($rows as $row) {
            /** @var object{stable_id: string, text: string, weight: int} $row */
            $items[] = new WeightedText($row->text, $row->weight, $row->stable_id);
        }
        $came = $this->came($channel, $list);
        // All that come once in a round come as often as each other, whatever they weigh.
        $isEven = in_array($list->draw_order, [DrawOrder::Shuffled, DrawOrder::InTurn], true);
        $weights = array_map(static fn (WeightedText $item): int => $isEven ? 1 : $item->weight, $items);
        $all = max(1, array_sum($weights));
        $draws = new Draws(
            array_map(static fn (int $weight): float => $weight / $all, $weights),
            array_map(static fn (WeightedText $item): int => $came[$item->id] ?? 0, $items),
        );
        $thousand = $items === [] ? [] : self::thousand($items, $isEven);
        $bars = [];
        foreach ($items as $at => $item) {
            $bars[] = [
                'text' => $item->text,
                'share' => $draws->shares[$at],
                'expected' => $draws->shares[$at] * $draws->total(),
                'came' => $draws->came[$at],
                'thousand' => $thousand[$at] ?? 0,
            ];
        }
        usort($bars, static fn (array $a, array $b): int => $b['share'] <=> $a['share']);

        return [
            'bars' => array_slice($bars, 0, self::SHOWN),
            'total' => $draws->total(),
            // One that is never the same twice running is nearer to its shares than chance.
            'unlikely' => $list->draw_order === DrawOrder::Free && $draws->isUnlikely(),
            'most' => max(
                [1.0, ...array_map(static fn (array $bar): float => max($bar['came'], $bar['expected']), $bars)],
            ),
        ];
    }

    /**
     * @param  non-empty-list<WeightedText>  $items
     * @return array<int, int> by place; always the same for the same list
     */
    private static function thousand(array $items, bool $isEven): array
    {
        if ($isEven) {
            $each = intdiv(self::THOUSAND, count($items));

            return array_map(
                static fn (int $at): int => $each + ($at < self::THOUSAND % count($items) ? 1 : 0),
                array_keys($items),
            );
        }
        $table = new DrawTable($items);
        $luck = new Randomizer(new Mt19937(crc32(serialize($items))));
        $counts = array_fill(0, count($items), 0);
        for ($draw = 0; $draw < self::THOUSAND; $draw++) {
            $counts[$table->byWeight($luck)]++;
        }

        return $counts;
    }

    /** @return array<string, int> by item */
    private function came(Channel $channel, TextListRow $list): array
    {
        $came = [];
        $rows = $this->connection->select('SELECT item, times FROM list_draws WHERE channel_id = ? AND list = ?', [
            $channel->id,
            Fold::caseless($list->stable_id),
        ]);
        foreach ($rows as $row) {
            /** @var object{item: string, times: int} $row */
            $came[$row->item] = $row->times;
        }

        return $came;
    }
}
