<?php

declare(strict_types=1);

namespace App\Remember\Quotes;

use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Pack\QuoteSettings;

/** How quotes are drawn, and how their dates are written. */
final class QuoteHabitsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'seen' => ['required', 'integer'],
            'dates' => ['nullable', 'string', 'max:'.QuoteSettings::LONGEST_PATTERN],
        ];
    }

    /** @return array{quotes_all_once: bool, quote_dates: string} */
    public function columns(): array
    {
        return [
            'quotes_all_once' => $this->boolean('all_once'),
            'quote_dates' => $this->string('dates')->trim()->value(),
        ];
    }
}
