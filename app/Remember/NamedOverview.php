<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Definitions\Named\NamedDefinition;
use SilverParrot\Format\PackFormat;
use SilverParrot\Source\Fold;

/** What there is of each kind, with what it holds in a few words and which commands use it. */
final readonly class NamedOverview
{
    private const ORDERS = [
        'free' => 'drawn freely',
        'no_repeat' => 'never the same twice running',
        'shuffled' => 'shuffled',
        'in_turn' => 'in turn',
    ];

    private const TYPES = [
        'number' => 'a number',
        'text' => 'a text',
        'moment' => 'a moment',
        'yes_no' => 'yes or no',
        'points' => 'points',
    ];

    /** Of one kind that are shown. */
    private const MOST = 300;

    public function __construct(private UsesOfNames $uses)
    {
    }

    /**
     * @return array<string, list<array{id: string, name: string, holds: string, uses: list<string>}>> by the kind’s key
     */
    public function of(Channel $channel, string $find = ''): array
    {
        $uses = $this->uses->all($channel);
        $overview = [];
        foreach (NamedDefinition::all() as $kind) {
            $items = $kind->key() === 'lists'
                ? $channel->listItems()->toBase()->selectRaw('list_id, COUNT(*) AS items')->groupBy('list_id')
                    ->pluck('items', 'list_id')->all()
                : [];
            $told = [];
            $rows = $kind->rows($channel)->orderBy('name_folded');
            $holding = $find === '' || $kind->key() !== 'lists' ? [] : $this->holding($channel, $find);
            $rows = $rows->limit($find === '' ? self::MOST : PackFormat::DEFINITIONS)->toBase()->get();
            foreach ($rows as $row) {
                /** @var object{id: int, stable_id: string, name: string} $row */
                $one = [
                    'id' => $row->stable_id,
                    'name' => "{$kind->prefix()}.{$row->name}",
                    'holds' => self::holds((array) $row, $items[$row->id] ?? 0),
                    'uses' => $uses["{$kind->prefix()}.".Fold::caseless($row->name)] ?? [],
                ];
                $words = Fold::caseless(implode("\n", [$one['name'], $one['holds'], ...$one['uses']]));
                if ($find === '' || str_contains($words, $find) || isset($holding[$row->id])) {
                    $told[] = $one;
                }
            }
            $overview[$kind->key()] = $told;
        }

        return $overview;
    }

    /** @return array<array-key, mixed> lists of which an item has it in it, by their numbers */
    private function holding(Channel $channel, string $find): array
    {
        return $channel
            ->listItems()
            ->whereRaw('LOWER(text) LIKE ?', ['%'.addcslashes($find, '%_\\').'%'])
            ->distinct()
            ->pluck('list_id', 'list_id')
            ->all();
    }

    /** @param  array<array-key, mixed>  $row */
    private static function holds(array $row, mixed $items): string
    {
        $text = static fn (string $column): string => is_string($row[$column] ?? null) ? $row[$column] : '';

        return match (true) {
            isset($row['scope']) => self::counter($row),
            isset($row['yearly']) => $row['yearly'] == 1 ? 'comes again each year' : '',
            is_int($row['price'] ?? null) => $row['price'] === 0 ? 'not for sale' : "{$row['price']} each",
            isset($row['draw_order']) => ($items === 1 ? 'one item' : (is_int($items) ? $items : 0).' items').', '
                .(self::ORDERS[$text('draw_order')] ?? ''),
            isset($row['type']) => (self::TYPES[$text('type')] ?? '')
                .($text('start') === '' ? '' : ", begins with {$text('start')}"),
            default => $text('text'),
        };
    }

    /** @param  array<array-key, mixed>  $row */
    private static function counter(array $row): string
    {
        $number = static fn (string $column): ?int => is_numeric($row[$column] ?? null) ? (int) $row[$column] : null;
        [$floor, $ceiling, $guard] = [$number('floor'), $number('ceiling'), $number('guard_seconds')];

        return implode(', ', array_filter([
            match ($row['scope']) {
                'category' => 'one number for each category',
                'viewer' => 'one number for each viewer',
                default => 'one number for the channel',
            },
            $floor === null ? '' : "never below $floor",
            $ceiling === null ? '' : "never above $ceiling",
            match ($row['reset'] ?? '') {
                'stream' => 'begins anew with each stream',
                'day' => 'begins anew each day',
                default => '',
            },
            $guard === 0 ? '' : "the same counts once within $guard s",
        ]));
    }
}
