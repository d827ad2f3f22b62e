<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\GoodsRow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use SilverParrot\Source\Limits;

/** Things that viewers can own. Who owns how many is memory, and no part of this. */
final class GoodsForSale extends NamedDefinition
{
    public function key(): string
    {
        return 'goods';
    }

    public function prefix(): string
    {
        return 'goods';
    }

    public function one(): string
    {
        return 'a thing to own';
    }

    public function page(): string
    {
        return 'remember.goods';
    }

    /** @return HasMany<GoodsRow, Channel> */
    public function rows(Channel $channel): HasMany
    {
        return $channel->goods();
    }

    public function rules(): array
    {
        $whole = ['nullable', 'integer', 'between:0,'.Limits::COUNTER];

        return ['price' => $whole, 'stock' => $whole, 'buy_back' => $whole];
    }

    public function columns(array $typed): array
    {
        $whole = static fn (string $field): ?int => is_numeric($typed[$field] ?? null) ? (int) $typed[$field] : null;

        return [
            'price' => $whole('price') ?? 0,
            'stock' => $whole('stock'),
            'buy_back' => $whole('buy_back') ?? 0,
        ];
    }

    protected function kept(Model $row): array
    {
        return $row instanceof GoodsRow
            ? ['price' => $row->price, 'stock' => $row->stock, 'buy_back' => $row->buy_back]
            : [];
    }
}
