<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Border\OfItsChannel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Something done for a viewer as they would do it from the chat. */
final class ActionRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'do' => ['required', Rule::in(['give', 'buy', 'sell', 'hand', 'check'])],
            'what' => ['nullable', 'string', 'max:60'],
            'amount' => ['nullable', 'string', 'max:40'],
            'to' => ['nullable', 'string', 'max:60'],
        ];
    }

    public function count(): int
    {
        $typed = $this->string('amount')->trim()->value();

        return preg_match('/^\d{1,6}$/D', $typed) === 1 ? (int) $typed : 0;
    }
}
