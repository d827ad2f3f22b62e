<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\FactRow;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use SilverParrot\Pack\ExtraParts;

/** Texts that are kept in one place and used in many responses. */
final class Facts extends NamedDefinition
{
    public function key(): string
    {
        return 'facts';
    }

    public function prefix(): string
    {
        return 'fact';
    }

    public function one(): string
    {
        return 'a fact';
    }

    /** @return HasMany<FactRow, Channel> */
    public function rows(Channel $channel): HasMany
    {
        return $channel->facts();
    }

    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:2000'],
            'is_response' => ['nullable', 'boolean'],
            'parts' => ['nullable', 'string', 'max:6000', static function (
                string $field,
                mixed $typed,
                Closure $fail,
            ): void {
                $parts = ExtraParts::typed(is_string($typed) ? $typed : '');
                if (is_int($parts)) {
                    $fail("Line $parts is no part: write a name and what is added, “chat from=chat”.");
                } elseif (count($parts) > ExtraParts::MOST) {
                    $fail('There are at most '.ExtraParts::MOST.' parts.');
                }
            }],
        ];
    }

    public function columns(array $typed): array
    {
        return [
            'text' => $typed['text'] ?? '',
            'is_response' => filter_var($typed['is_response'] ?? false, FILTER_VALIDATE_BOOL),
            'parts' => is_string($typed['parts'] ?? null) ? trim($typed['parts']) : '',
        ];
    }

    protected function kept(Model $row): array
    {
        return $row instanceof FactRow
            ? ['text' => $row->text, 'is_response' => $row->is_response, 'parts' => $row->parts]
            : [];
    }
}
