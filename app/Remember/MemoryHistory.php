<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Assembler;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Memory\RegularState;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** What changed of what is remembered, by whom, as an author reads it. */
final readonly class MemoryHistory
{
    /** Items of a list that are told of it. */
    private const ITEMS = 3;

    private const MOST = 60;

    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /**
     * @param  Kind|null  $kind  with a name for one of them alone
     * @return list<array{id: int, at: Moment, told: string, by: string, isUndone: bool}> newest first; what was one
     *     act is one of them
     */
    public function of(Channel $channel, ?Kind $kind = null, string $name = ''): array
    {
        /**
         * @var list<object{id: int, kind: string, name: string, owner: string, before: string, after: string,
         *     at: string, undone: int, act: string|null, viewer: string|null, person: string|null, user: string|null,
         *     together: int}> $rows
         */
        $rows = $this->connection->select(
            "SELECT h.id, h.kind, h.name, h.owner, h.`before`, h.after, h.at, h.undone, h.act, u.name AS user,
                COALESCE(NULLIF(v.name, ''), v.login) AS viewer, COALESCE(NULLIF(b.name, ''), b.login) AS person,
                (SELECT COUNT(*) FROM memory_history a WHERE a.channel_id = h.channel_id AND a.act = h.act) AS together
             FROM memory_history h LEFT JOIN viewers v ON v.id = h.viewer_id
                LEFT JOIN viewers b ON b.id = h.by_viewer_id LEFT JOIN users u ON u.id = h.user_id
             WHERE h.channel_id = ?".($kind === null ? '' : ' AND h.kind = ? AND h.name = ?')
                .' ORDER BY h.id DESC LIMIT '
                .self::MOST,
            $kind === null ? [$channel->id] : [$channel->id, $kind->value, $name],
        );
        $names = self::namesOf($this->assembler->names($channel));
        $categories = MemoryOverview::categories($channel);
        $entries = [];
        foreach ($rows as $row) {
            $entry = $row->act ?? (string) $row->id;
            $entries[$entry] ??= [
                'id' => $row->id,
                'at' => Moment::fromIso($row->at) ?? new Moment(0),
                'told' => [],
                'together' => $row->together,
                'by' => $row->person ?? ($row->user ?? 'somebody in the chat'),
                'isUndone' => (bool) $row->undone,
            ];
            $of = Owner::fromId($row->owner) ?? Owner::channel();
            $scope = $of->kind === OwnerKind::Category
                ? $categories[$of->of] ?? $of->of
                : MemoryOverview::scope($of, $row->viewer);
            $what = match ($row->kind) {
                Kind::Quote->value => "quote {$row->name}",
                Kind::Regular->value => 'regular',
                Kind::AddedItems->value => 'added from chat to list.'
                    .($names["{$row->kind} {$row->name}"] ?? $row->name),
                default => "{$row->kind}.".($names["{$row->kind} {$row->name}"] ?? $row->name),
            };
            array_unshift(
                $entries[$entry]['told'],
                $what.($scope === 'channel' ? ' ' : " ($scope) ").self::told($row->before).' → '
                    .self::told($row->after),
            );
        }

        return array_values(array_map(static fn (array $one): array => [
            // Of an act all is taken back, also what is not shown here.
            'told' => ($one['together'] > 1 ? "kept {$one['together']} changes of a rehearsal: " : '')
                .implode(', ', $one['told'])
                .($one['together'] > count($one['told']) ? ', …' : ''),
        ] + $one, $entries));
    }

    /** @return array<string, string> what definitions are called now, by kind and folded id */
    private static function namesOf(Pack $pack): array
    {
        $names = [];
        foreach (
            [
                Kind::Counter->value => $pack->counters,
                Kind::Field->value => $pack->fields,
                Kind::Goods->value => $pack->goods,
                Kind::Occasion->value => $pack->occasions,
                Kind::AddedItems->value => $pack->lists,
            ] as $kind => $definitions
        ) {
            foreach ($definitions as $one) {
                $names["$kind ".Fold::caseless($one->id)] = $one->name;
            }
        }

        return $names;
    }

    /** @param  array<array-key, mixed>  $items  of a list, the newest last; of many, those */
    private static function items(array $items): string
    {
        $texts = array_filter(array_column($items, 'text'), is_string(...));
        $shown = array_map(
            static fn (string $text): string => '“'.mb_strimwidth($text, 0, 60, '…').'”',
            array_slice($texts, -self::ITEMS),
        );

        return (count($texts) > self::ITEMS ? '… ' : '').implode(' ', $shown);
    }

    private static function told(string $json): string
    {
        $value = json_decode($json, true);

        return match (true) {
            $value === null => 'nothing',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && is_string($value['text'] ?? null) => "“{$value['text']}”",
            is_array($value) && is_string($value['why'] ?? null) => RegularState::inWords($value['why']),
            is_array($value) && is_array($value['items'] ?? null) => self::items($value['items']),
            is_array($value) => is_int($value['n'] ?? null) ? (string) $value['n'] : '…',
            default => is_scalar($value) ? (string) $value : '…',
        };
    }
}
