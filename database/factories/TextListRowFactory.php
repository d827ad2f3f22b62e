<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\TextListRow;
use SilverParrot\Pack\DrawOrder;

/**
 * A list without items.
 *
 * @extends NamedRowFactory<TextListRow>
 */
final class TextListRowFactory extends NamedRowFactory
{
    protected $model = TextListRow::class;

    protected function own(): array
    {
        return ['draw_order' => DrawOrder::Free];
    }
}
