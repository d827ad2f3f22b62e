<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Foundation\Http\FormRequest;

/** One's own name, as it was typed. */
final class AccountNameRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:100']];
    }

    public function name(): string
    {
        return $this->string('name')->value();
    }
}
