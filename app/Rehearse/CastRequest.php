<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Border\OfItsChannel;
use App\Models\CastMemberRow;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use SilverParrot\Chat\Level;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** Somebody in the cast, as they were typed. */
final class CastRequest extends FormRequest
{
    use OfItsChannel;

    private const MOST = 200;

    protected function prepareForValidation(): void
    {
        $login = $this->string('login')->trim()->ltrim('@')->value();
        $this->merge(['login' => Fold::caseless($login), 'name' => $this->string('name')->trim()->value()]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'login' => [
                'bail',
                'required',
                'string',
                'max:60',
                'regex:/^[^\s\p{Z}\p{C}\[\]@]+$/Du',
                Rule::unique('cast_members', 'login')
                    ->where('channel_id', $this->channel()->id)
                    ->ignore($this->member()?->id),
            ],
            'name' => ['nullable', 'string', 'max:60'],
            'levels' => ['array', 'max:8'],
            'levels.*' => ['string', Rule::in(Level::words())],
            'tier' => ['nullable', 'integer', 'between:0,3'],
            'habits' => ['nullable', 'string', 'max:300'],
            'link' => ['nullable', 'string', 'url:https,http', 'max:500'],
            'category' => ['nullable', 'string', 'max:100'],
            'followed' => ['nullable', 'date_format:Y-m-d', 'before:tomorrow', 'after:1999-12-31'],
            'record' => ['array', 'max:200', $this->isOfFields(...)],
            'record.*' => ['nullable', 'string', 'max:'.Limits::FIELD_TEXT],
        ];
    }

    /** @param  Closure(string): mixed  $fail */
    private function isOfFields(string $field, mixed $record, Closure $fail): void
    {
        $known = array_filter($this->channel()->fields()->pluck('name')->all(), is_string(...));
        if (array_diff(array_keys(is_array($record) ? $record : []), $known) !== []) {
            $fail('A record holds the viewer fields that there are.');
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'login.required' => 'Enter a login, for example tamsin.',
            'login.regex' => 'A login has no spaces, brackets or “@”.',
            'login.unique' => ':input is in the cast already.',
            'link.url' => 'Enter a whole address, for example https://harbour.lantern-cove.example/tamsin.',
            'followed.*' => 'Enter a day, not later than today.',
            'levels.*' => 'Choose levels that there are.',
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($this->member() === null && $this->channel()->castMembers()->count() >= self::MOST) {
                $validator->errors()->add('login', 'There are '.self::MOST.' people in the cast: remove one first.');
            }
            $levels = (array) $this->input('levels', []);
            if ($this->filled('followed') && ! in_array(Level::Follower->word(), $levels, true)) {
                $validator->errors()->add('followed', 'Only a follower has followed since some day.');
            }
        }];
    }

    protected function getRedirectUrl(): string
    {
        return route('rehearse', [$this->channel(), 'person' => $this->member()->id ?? 'new']);
    }

    /** @return array<string, mixed> the columns of their row */
    public function columns(): array
    {
        $levels = Level::allNamed((array) $this->input('levels', []));
        $text = fn (string $field): string => $this->string($field)->trim()->value();
        $followed = $text('followed');
        /** @var array<string, string|null> $record */
        $record = (array) $this->input('record', []);

        return [
            'login' => $this->string('login')->value(),
            'name' => $text('name') ?: $this->string('login')->value(),
            'levels' => $levels,
            'tier' => in_array(Level::Subscriber, $levels, true) ? max(1, $this->integer('tier')) : 0,
            'habits' => $text('habits'),
            'record' => array_filter(
                array_map(static fn (?string $value): string => trim($value ?? ''), $record),
                static fn (string $value): bool => $value !== '',
            ),
            'details' => array_filter([
                'link' => $text('link'),
                'category' => $text('category'),
                'followed' => $followed === '' ? '' : "{$followed}T12:00:00Z",
            ], static fn (string $value): bool => $value !== ''),
        ];
    }

    private function member(): ?CastMemberRow
    {
        $member = $this->route('castMember');

        return $member instanceof CastMemberRow ? $member : null;
    }
}
