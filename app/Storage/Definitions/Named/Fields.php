<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\FieldRow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Validation\Rule;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Limits;

/** What is kept of each viewer. */
final class Fields extends NamedDefinition
{
    public function key(): string
    {
        return 'fields';
    }

    public function prefix(): string
    {
        return 'caller';
    }

    public function heads(): array
    {
        return ['caller', 'target'];
    }

    public function one(): string
    {
        return 'a field';
    }

    /** @return HasMany<FieldRow, Channel> */
    public function rows(Channel $channel): HasMany
    {
        return $channel->fields();
    }

    public function rules(): array
    {
        return [
            'type' => ['required', Rule::enum(FieldType::class)],
            'start' => ['nullable', 'string', 'max:'.Limits::FIELD_TEXT],
        ];
    }

    public function columns(array $typed): array
    {
        $start = is_string($typed['start'] ?? null) ? trim($typed['start']) : '';

        return ['type' => $typed['type'] ?? FieldType::Text->value, 'start' => $start === '' ? null : $start];
    }

    protected function kept(Model $row): array
    {
        return $row instanceof FieldRow ? ['type' => $row->type->value, 'start' => $row->start] : [];
    }
}
