<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Models\ListItem;
use App\Models\TextListRow;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\Lists;
use SilverParrot\Format\PackFormat;
use SilverParrot\Format\WeightedTextFormat;
use SilverParrot\Source\Limits;

/** The items of one list: a text that is there gets the weight that is brought, others are added behind. */
final readonly class ItemTransfer implements Transfer
{
    public function __construct(private TextListRow $list, private DefinitionHistory $history)
    {
    }

    public function key(): string
    {
        return 'items';
    }

    public function many(): string
    {
        return "items of list.{$this->list->name}";
    }

    public function columns(): array
    {
        return ['text', 'weight', 'on'];
    }

    public function main(): string
    {
        return 'text';
    }

    public function rows(Channel $channel): iterable
    {
        /** @var ListItem $item */
        foreach ($this->list->items()->lazy(1_000) as $item) {
            yield ['text' => $item->text, 'weight' => $item->weight, 'on' => $item->is_on ? 'yes' : 'no'];
        }
    }

    public function look(Channel $channel, array $rows): array
    {
        $here = [];
        /** @var ListItem $item */
        foreach ($this->list->items()->get() as $item) {
            $here["t{$item->text}"] = ['weight' => $item->weight, 'is_on' => $item->is_on];
        }
        $looked = [];
        $room = PackFormat::ITEMS - count($here);
        foreach ($rows as $row) {
            $text = trim($row['text'] ?? '');
            $weight = trim($row['weight'] ?? '') === '' ? '1' : trim($row['weight']);
            $isOn = ! in_array(strtolower(trim($row['on'] ?? 'yes')), ['no', '0', 'off', 'false'], true);
            $told = mb_substr($text, 0, 200);
            $was = $here["t$text"] ?? null;
            $isWeight = preg_match('/^[1-9]\d{0,3}$/D', $weight) === 1 && (int) $weight <= WeightedTextFormat::HEAVIEST;
            $values = ['text' => $text, 'weight' => (int) $weight, 'is_on' => $isOn];
            $looked[] = match (true) {
                $text === '' => BroughtRow::wrong($told, 'It has no text.'),
                mb_strlen($text) > Limits::SOURCE => BroughtRow::wrong($told, 'It has more than 2,000 characters.'),
                ! $isWeight => BroughtRow::wrong($told, "“{$weight}” is no weight from 1 to 1,000."),
                $was === null && $room-- <= 0 => BroughtRow::wrong($told, 'The list is full: it has 10,000 items.'),
                $was === null => BroughtRow::new($told, $values),
                $was == array_diff_key($values, ['text' => '']) => BroughtRow::same($told),
                default => BroughtRow::changed($told, $values),
            };
            $here["t$text"] = array_diff_key($values, ['text' => '']);
        }

        return $looked;
    }

    public function keep(Channel $channel, array $rows, User $by): void
    {
        $kind = new Lists;
        $id = $this->list->stable_id;
        $do = static function () use ($channel, $kind, $id, $rows): void {
            $state = $kind->read($channel, $id) ?? [];
            /** @var list<array<string, mixed>> $items */
            $items = is_array($state['items'] ?? null) ? $state['items'] : [];
            $places = array_flip(array_filter(array_column($items, 'text'), is_string(...)));
            foreach ($rows as $row) {
                $text = is_string($row->values['text'] ?? null) ? $row->values['text'] : '';
                $at = $places[$text] ?? count($items);
                $items[$at] = $row->values + ($items[$at] ?? []);
                $places[$text] = $at;
            }
            $state['items'] = $items;
            $kind->put($channel, $id, $state);
        };
        $this->history->change($channel, $kind, $id, $by, null, $do);
    }
}
