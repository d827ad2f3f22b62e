<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\OccasionRow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Moments that last, like the last leak. When they were is memory, and no part of this. */
final class Occasions extends NamedDefinition
{
    public function key(): string
    {
        return 'occasions';
    }

    public function prefix(): string
    {
        return 'occasion';
    }

    public function one(): string
    {
        return 'an occasion';
    }

    /** @return HasMany<OccasionRow, Channel> */
    public function rows(Channel $channel): HasMany
    {
        return $channel->occasions();
    }

    public function rules(): array
    {
        return ['coming' => ['nullable', 'boolean'], 'yearly' => ['nullable', 'boolean']];
    }

    public function columns(array $typed): array
    {
        return [
            'coming' => filter_var($typed['coming'] ?? false, FILTER_VALIDATE_BOOL),
            'yearly' => filter_var($typed['yearly'] ?? false, FILTER_VALIDATE_BOOL),
        ];
    }

    protected function kept(Model $row): array
    {
        return $row instanceof OccasionRow ? ['coming' => $row->coming, 'yearly' => $row->yearly] : [];
    }
}
