<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use App\Models\FieldRow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Validation\Rule;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Fold;
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
        $whole = ['nullable', 'integer', 'between:-'.Limits::COUNTER.','.Limits::COUNTER];

        return [
            'type' => ['required', Rule::enum(FieldType::class)],
            'start' => ['nullable', 'string', 'max:'.Limits::FIELD_TEXT],
            'one' => ['nullable', 'string', 'max:'.Limits::NAME],
            'many' => ['nullable', 'string', 'max:'.Limits::NAME],
            'least_gift' => ['nullable', 'integer', 'between:1,'.Limits::COUNTER],
            'ranks_streamer' => ['nullable', 'boolean'],
            'least' => $whole,
            'most' => [...$whole, 'gte:least'],
            'longest' => ['nullable', 'integer', 'between:1,'.Limits::FIELD_TEXT],
        ] + ChangeColumns::rules();
    }

    public function columns(array $typed): array
    {
        $start = is_string($typed['start'] ?? null) ? trim($typed['start']) : '';

        $whole = static fn (string $field): ?int => is_numeric($typed[$field] ?? null) ? (int) $typed[$field] : null;
        $text = static fn (string $field): string => is_string($typed[$field] ?? null) ? trim($typed[$field]) : '';

        return [
            'type' => $typed['type'] ?? FieldType::Text->value,
            'start' => $start === '' ? null : $start,
            'one' => $text('one'),
            'many' => $text('many'),
            'least_gift' => $whole('least_gift') ?? 1,
            'ranks_streamer' => filter_var($typed['ranks_streamer'] ?? false, FILTER_VALIDATE_BOOL),
            'least' => $whole('least'),
            'most' => $whole('most'),
            'longest' => $whole('longest') ?? Limits::FIELD_TEXT,
        ] + ChangeColumns::columns($typed);
    }

    /** Ranks, and the records of the cast, go by the field's name. */
    protected function keep(Channel $channel, Model $row, array $columns): void
    {
        $was = $row->getOriginal('name');
        parent::keep($channel, $row, $columns);
        $is = $row->getAttribute('name');
        if (! is_string($was) || ! is_string($is) || $was === $is) {
            return;
        }
        $channel->ladders()->where('name_folded', Fold::caseless($was))->update([
            'name' => $is,
            'name_folded' => Fold::caseless($is),
        ]);
        foreach ($channel->castMembers()->get() as $member) {
            if (isset($member->record[$was])) {
                $others = array_diff_key($member->record, [$was => true]);
                $member->update(['record' => [$is => $member->record[$was]] + $others]);
            }
        }
    }

    protected function kept(Model $row): array
    {
        return $row instanceof FieldRow
            ? [
                'type' => $row->type->value,
                'start' => $row->start,
                'one' => $row->one,
                'many' => $row->many,
                'least_gift' => $row->least_gift,
                'ranks_streamer' => $row->ranks_streamer,
                'least' => $row->least,
                'most' => $row->most,
                'longest' => $row->longest,
            ] + ChangeColumns::kept($row)
            : [];
    }
}
