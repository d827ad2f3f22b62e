<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\CounterRow;
use App\Models\FieldRow;
use Closure;
use SilverParrot\Document\LevelFormat;

/** Who may change something through a response: the columns that counters and fields have for it. */
final class ChangeColumns
{
    /** @return array<string, list<mixed>> */
    public static function rules(): array
    {
        $levels = static function (string $field, mixed $value, Closure $fail): void {
            if (! is_string($value) || LevelFormat::line(LevelFormat::ofLine($value)) !== $value) {
                $fail('Choose who may change it.');
            }
        };

        return [
            'changed_by' => ['nullable', 'string', 'max:100', $levels],
            'own_only' => ['nullable', 'boolean'],
            'not_by_hand' => ['nullable', 'boolean'],
        ];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array<string, mixed>
     */
    public static function columns(array $typed): array
    {
        $flag = static fn (string $field): bool => filter_var($typed[$field] ?? false, FILTER_VALIDATE_BOOL);

        return [
            'changed_by' => is_string($typed['changed_by'] ?? null) ? $typed['changed_by'] : '',
            'own_only' => $flag('own_only'),
            'not_by_hand' => $flag('not_by_hand'),
        ];
    }

    /** @return array<string, mixed> */
    public static function kept(CounterRow|FieldRow $row): array
    {
        return [
            'changed_by' => $row->changed_by,
            'own_only' => $row->own_only,
            'not_by_hand' => $row->not_by_hand,
        ];
    }
}
