<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\ListItem;
use App\Models\TextListRow;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Source\Limits;

/** Texts to draw from, with weights and an order. How far they were drawn is memory, and no part of this. */
final class Lists extends NamedDefinition
{
    /** Characters of all items as they are typed. */
    private const LONGEST = 1_000_000;

    private const MOST_WEIGHT = 1_000;

    public function key(): string
    {
        return 'lists';
    }

    public function prefix(): string
    {
        return 'list';
    }

    public function one(): string
    {
        return 'a list';
    }

    /** @return HasMany<TextListRow, Channel> */
    public function rows(Channel $channel): HasMany
    {
        return $channel->lists();
    }

    public function rules(): array
    {
        return [
            'draw_order' => ['required', Rule::enum(DrawOrder::class)],
            'each_viewer' => ['nullable', 'boolean'],
            'responses' => ['nullable', 'boolean'],
            'from_chat' => ['nullable', 'boolean'],
            'items' => ['bail', 'required', 'string', 'max:'.self::LONGEST, self::areItems(...)],
        ];
    }

    /** @param  Closure(string): mixed  $fail */
    private static function areItems(string $field, mixed $typed, Closure $fail): void
    {
        $lines = array_filter(
            preg_split('/\R/u', is_string($typed) ? $typed : '') ?: [],
            static fn (string $line): bool => trim($line) !== '',
        );
        if (count($lines) > PackFormat::ITEMS) {
            $fail('A list has at most '.number_format(PackFormat::ITEMS).' items.');
        }
        foreach ($lines as $number => $line) {
            if (mb_strlen($line) > Limits::SOURCE) {
                $fail('Line '.($number + 1).' has more than '.number_format(Limits::SOURCE).' characters.');

                return;
            }
        }
        if ($lines === []) {
            $fail('Enter at least one item, one a line.');
        }
    }

    /** One item a line; a weight stands behind a tab. */
    public function columns(array $typed): array
    {
        $items = [];
        foreach (preg_split('/\R/u', is_string($typed['items'] ?? null) ? $typed['items'] : '') ?: [] as $line) {
            $parts = explode("\t", $line);
            $weight = count($parts) > 1 && ctype_digit(trim((string) end($parts))) ? (int) array_pop($parts) : 1;
            $text = trim(implode(' ', $parts));
            if ($text !== '') {
                $items[] = ['text' => $text, 'weight' => max(1, min(self::MOST_WEIGHT, $weight))];
            }
        }

        return [
            'draw_order' => $typed['draw_order'] ?? DrawOrder::Free->value,
            'each_viewer' => filter_var($typed['each_viewer'] ?? false, FILTER_VALIDATE_BOOL),
            'responses' => filter_var($typed['responses'] ?? false, FILTER_VALIDATE_BOOL),
            'from_chat' => filter_var($typed['from_chat'] ?? false, FILTER_VALIDATE_BOOL),
            'items' => $items,
        ];
    }

    protected function kept(Model $row): array
    {
        return $row instanceof TextListRow
            ? [
                'draw_order' => $row->draw_order->value,
                'each_viewer' => $row->each_viewer,
                'responses' => $row->responses,
                'from_chat' => $row->from_chat,
                'items' => array_values(
                    $row
                        ->items()
                        ->toBase()
                        ->get(['stable_id', 'text', 'weight', 'is_on'])
                        ->map(static fn (object $item): array => (array) $item)
                        ->all(),
                ),
            ]
            : [];
    }

    /** An item whose text was there keeps its id: the order in which items come hangs on that. */
    protected function keep(Channel $channel, Model $row, array $columns): void
    {
        $row->fill(array_diff_key($columns, ['items' => true]))->save();
        $had = ListItem::query()->where('channel_id', $channel->id)->where('list_id', $row->getKey());
        $ids = (clone $had)->orderBy('position')->pluck('stable_id', 'text')->all();
        $off = (clone $had)->where('is_on', false)->pluck('text', 'stable_id')->all();
        $had->delete();
        $rows = [];
        $taken = [];
        foreach (is_array($columns['items'] ?? null) ? $columns['items'] : [] as $position => $item) {
            $text = is_array($item) && is_string($item['text'] ?? null) ? $item['text'] : '';
            $id = is_array($item) && is_string($item['stable_id'] ?? null) ? $item['stable_id'] : $ids[$text] ?? '';
            $id = is_string($id) && $id !== '' && ! isset($taken[$id]) ? $id : Str::lower((string) Str::ulid());
            $taken[$id] = true;
            $rows[] = [
                'channel_id' => $channel->id,
                'list_id' => $row->getKey(),
                'stable_id' => $id,
                'position' => $position,
                'text' => $text,
                'weight' => is_array($item) && is_int($item['weight'] ?? null) ? $item['weight'] : 1,
                // Typed as lines they say nothing of it, and stay as they were.
                'is_on' => is_array($item) && isset($item['is_on']) ? (bool) $item['is_on'] : ! isset($off[$id]),
            ];
        }
        foreach (array_chunk($rows, 500) as $some) {
            ListItem::query()->insert($some);
        }
    }
}
