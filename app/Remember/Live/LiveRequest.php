<?php

declare(strict_types=1);

namespace App\Remember\Live;

use App\Border\OfItsChannel;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use SilverParrot\Source\Limits;

/** What a live address shows, and how. */
final class LiveRequest extends FormRequest
{
    use OfItsChannel;

    public const MOST = 100;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'shows' => ['required', 'string', 'max:'.Limits::SOURCE],
            'font' => ['nullable', Rule::in(LiveLook::FONTS)],
            'size' => ['nullable', 'integer', 'between:8,400'],
            'colour' => ['nullable', 'regex:/^#[0-9a-f]{6}$/Di'],
            'outline' => ['nullable', 'regex:/^(?:none|#[0-9a-f]{6})$/Di'],
            'align' => ['nullable', Rule::in(LiveLook::ALIGNED)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'shows.required' => 'Enter what it shows, for example [counter.planks].',
            'size.*' => 'A size is a whole number from 8 to 400.',
            'colour.*' => 'A colour is written like #ffcc00.',
            'outline.*' => 'An outline is a colour like #1c2b33, or none.',
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(LiveText $live): array
    {
        return [function (Validator $validator) use ($live): void {
            $problem = $validator->errors()->isEmpty() ? $live->problem($this->channel(), $this->shows()) : '';
            $isNew = $this->route('liveAddress') === null;
            if ($problem === '' && $isNew && $this->channel()->liveAddresses()->count() >= self::MOST) {
                $problem = 'There are '.self::MOST.' already: delete one first.';
            }
            if ($problem !== '') {
                $validator->errors()->add('shows', $problem);
            }
        }];
    }

    public function shows(): string
    {
        return $this->string('shows')->trim()->value();
    }

    /** @return array<string, mixed> as the definition is put */
    public function state(): array
    {
        return ['shows' => $this->shows(), 'look' => $this->look()->parts()];
    }

    public function look(): LiveLook
    {
        return LiveLook::of($this->only(['font', 'size', 'colour', 'outline', 'align']));
    }
}
