<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\FactRow;

/**
 * A fact.
 *
 * @extends NamedRowFactory<FactRow>
 */
final class FactRowFactory extends NamedRowFactory
{
    protected $model = FactRow::class;

    protected function own(): array
    {
        return ['text' => 'the third shed along the slipway'];
    }
}
