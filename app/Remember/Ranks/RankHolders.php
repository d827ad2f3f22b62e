<?php

declare(strict_types=1);

namespace App\Remember\Ranks;

use App\Models\Channel;
use App\Storage\Shelves\Balances;
use App\Storage\Shelves\EverEarned;
use Illuminate\Database\Connection;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Number;

/** How many viewers hold each rank of a ladder now. */
final readonly class RankHolders
{
    public function __construct(private Connection $connection)
    {
    }

    /** @return array<int, int> by the least that is needed, highest first; those who earn no points stand in none */
    public function of(Channel $channel, Ladder $ladder, Field $field, Pack $pack): array
    {
        $leasts = array_keys($ladder->ranks);
        if ($leasts === []) {
            return [];
        }
        $unit = Fold::caseless($field->id);
        $without = $field->type === FieldType::Points ? $pack->withoutPoints($field) : [''];
        $marks = implode(',', array_fill(0, count($without), '?'));
        $sums = implode(', ', array_map(static fn (int $at): string => "SUM(has >= ?) AS at$at", array_keys($leasts)));
        // Numbers with decimals stand beside the whole ones.
        $row = (array) $this->connection->selectOne(
            "SELECT COUNT(*) AS kept, $sums FROM (
                SELECT viewer_id, amount AS has FROM balances WHERE channel_id = ? AND kind = ? AND unit = ?
                UNION ALL
                SELECT viewer_id, CAST(JSON_VALUE(value, '$') AS DECIMAL(30, 6)) FROM viewer_values
                WHERE channel_id = ? AND field = ?
             ) AS kept JOIN viewers v ON v.id = kept.viewer_id
             WHERE v.channel_id = ? AND v.name <> '' AND v.login NOT IN ($marks)",
            [
                ...$leasts,
                $channel->id,
                $ladder->byEverEarned ? EverEarned::KIND : Balances::FIELD,
                $unit,
                $channel->id,
                $ladder->byEverEarned ? '' : $unit,
                $channel->id,
                ...$without,
            ],
        );
        // Whoever has none kept has what all begin with.
        $rest = $channel->viewers()->where('name', '<>', '')->whereNotIn('login', $without)->count();
        $rest -= is_numeric($row['kept']) ? (int) $row['kept'] : 0;
        unset($row['kept']);
        $start = Number::typed($ladder->byEverEarned ? '0' : $field->start ?? '0') ?? 0;
        $atLeast = array_map(
            static fn (mixed $sum): int => is_numeric($sum) ? (int) $sum : 0,
            array_values($row),
        );
        $begins = $ladder->rank($start);
        $holders = [];
        foreach ($leasts as $place => $least) {
            $holders[$least] = $atLeast[$place] - ($place === 0 ? 0 : $atLeast[$place - 1])
                + ($ladder->ranks[$least] === $begins ? $rest : 0);
        }

        return $holders;
    }
}
