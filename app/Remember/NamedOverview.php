<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Definitions\Named\NamedDefinition;
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
    public function of(Channel $channel): array
    {
        $uses = $this->uses->all($channel);
        $overview = [];
        foreach (NamedDefinition::all() as $kind) {
            $items = $kind->key() === 'lists'
                ? $channel->listItems()->toBase()->selectRaw('list_id, COUNT(*) AS items')->groupBy('list_id')
                    ->pluck('items', 'list_id')->all()
                : [];
            $told = [];
            $rows = $kind->rows($channel)->orderBy('name_folded')->limit(self::MOST)->toBase()->get();
            foreach ($rows as $row) {
                /** @var object{id: int, stable_id: string, name: string} $row */
                $told[] = [
                    'id' => $row->stable_id,
                    'name' => "{$kind->prefix()}.{$row->name}",
                    'holds' => self::holds((array) $row, $items[$row->id] ?? 0),
                    'uses' => $uses["{$kind->prefix()}.".Fold::caseless($row->name)] ?? [],
                ];
            }
            $overview[$kind->key()] = $told;
        }

        return $overview;
    }

    /** @param  array<array-key, mixed>  $row */
    private static function holds(array $row, mixed $items): string
    {
        $text = static fn (string $column): string => is_string($row[$column] ?? null) ? $row[$column] : '';

        return match (true) {
            isset($row['draw_order']) => ($items === 1 ? 'one item' : (is_int($items) ? $items : 0).' items').', '
                .(self::ORDERS[$text('draw_order')] ?? ''),
            isset($row['type']) => (self::TYPES[$text('type')] ?? '')
                .($text('start') === '' ? '' : ", begins with {$text('start')}"),
            default => $text('text'),
        };
    }
}
