<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\CounterRow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Validation\Rule;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Guard;
use SilverParrot\Pack\Reset;
use SilverParrot\Source\Limits;

/** Whole numbers that last. What they have counted is memory, and no part of this. */
final class Counters extends NamedDefinition
{
    public function key(): string
    {
        return 'counters';
    }

    public function prefix(): string
    {
        return 'counter';
    }

    public function one(): string
    {
        return 'a counter';
    }

    /** @return HasMany<CounterRow, Channel> */
    public function rows(Channel $channel): HasMany
    {
        return $channel->counters();
    }

    public function rules(): array
    {
        $most = Limits::COUNTER;
        $whole = ['nullable', 'integer', "between:-$most,$most"];

        return [
            'scope' => ['required', Rule::enum(CounterScope::class)],
            'reset' => ['required', Rule::enum(Reset::class)],
            'start' => $whole,
            'floor' => [...$whole, 'lte:start'],
            'ceiling' => [...$whole, 'gte:start'],
            'guard_seconds' => ['nullable', 'integer', 'between:0,'.Guard::LONGEST],
            'guard_by_another' => ['nullable', 'boolean'],
        ] + ChangeColumns::rules();
    }

    public function columns(array $typed): array
    {
        $whole = static fn (string $field): ?int => is_numeric($typed[$field] ?? null) ? (int) $typed[$field] : null;

        return [
            'scope' => $typed['scope'] ?? CounterScope::Channel->value,
            'reset' => $typed['reset'] ?? Reset::Never->value,
            'start' => $whole('start') ?? 0,
            'floor' => $whole('floor'),
            'ceiling' => $whole('ceiling'),
            'guard_seconds' => $whole('guard_seconds') ?? 0,
            'guard_by_another' => filter_var($typed['guard_by_another'] ?? false, FILTER_VALIDATE_BOOL),
        ] + ChangeColumns::columns($typed);
    }

    protected function kept(Model $row): array
    {
        return $row instanceof CounterRow
            ? [
                'scope' => $row->scope->value,
                'reset' => $row->reset->value,
                'start' => $row->start,
                'floor' => $row->floor,
                'ceiling' => $row->ceiling,
                'guard_seconds' => $row->guard_seconds,
                'guard_by_another' => $row->guard_by_another,
            ] + ChangeColumns::kept($row)
            : [];
    }
}
