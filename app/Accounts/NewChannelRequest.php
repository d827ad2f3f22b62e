<?php

declare(strict_types=1);

namespace App\Accounts;

use Closure;
use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Zones;

/** A new channel, as it was typed. */
final class NewChannelRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'login' => ['required', 'string', 'regex:/^[A-Za-z0-9_]{3,25}$/D', 'unique:channels,login'],
            'language' => ['required', 'string', self::known(Languages::isKnown(...))],
            'zone' => ['required', 'string', self::known(Zones::isKnown(...))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'login.regex' => 'A login has 3 to 25 letters, digits and “_”.',
            'login.unique' => 'That login is taken here.',
        ];
    }

    public function channel(): Channel
    {
        $text = fn (string $field): string => $this->string($field)->value();

        return Channel::of(strtolower($text('login')), $text('name'), $text('language'), $text('zone'));
    }

    /**
     * @param  Closure(string): bool  $isKnown
     * @return Closure(string, mixed, Closure(string): mixed): void
     */
    private static function known(Closure $isKnown): Closure
    {
        return static function (string $field, mixed $value, Closure $fail) use ($isKnown): void {
            if (! is_string($value) || ! $isKnown($value)) {
                $what = $field === 'zone' ? 'time zone' : $field;
                $fail("That $what is not known here. Choose one of the list.");
            }
        };
    }
}
