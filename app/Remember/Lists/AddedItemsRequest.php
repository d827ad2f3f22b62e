<?php

declare(strict_types=1);

namespace App\Remember\Lists;

use App\Border\OfItsChannel;
use App\Storage\Definitions\Named\Lists;
use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Format\PackFormat;

/** Items that are added to a list, one a line, with a weight behind a tab. */
final class AddedItemsRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'items' => [...(new Lists)->rules()['items'], function (string $field, mixed $typed, \Closure $fail): void {
                $stable = $this->route('stable');
                $has = $this->channel()->listItems()->whereIn(
                    'list_id',
                    $this->channel()->lists()->where('stable_id', $stable)->select('id'),
                )->count();
                if ($has + count($this->items()) > PackFormat::ITEMS) {
                    $fail('A list has at most '.number_format(PackFormat::ITEMS).' items, and this one has '
                        .number_format($has).'.');
                }
            }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['items.required' => 'Enter at least one item, one a line.'];
    }

    /** @return list<array<string, mixed>> */
    public function items(): array
    {
        $items = (new Lists)->columns(['items' => $this->string('items')->value()])['items'] ?? [];

        /** @var list<array<string, mixed>> $items */
        return $items;
    }

    protected function getRedirectUrl(): string
    {
        return route('remember.list', [$this->channel(), $this->route('stable')]).'#right-page';
    }
}
