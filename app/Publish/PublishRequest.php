<?php

declare(strict_types=1);

namespace App\Publish;

use Illuminate\Foundation\Http\FormRequest;

/** What an edition is noted with, as it was typed. */
final class PublishRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['note' => ['nullable', 'string', 'max:500']];
    }

    public function note(): string
    {
        return $this->string('note')->trim()->value();
    }
}
