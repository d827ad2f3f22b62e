<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

/** What the harbour is asked to do. It is one for all channels; only what is this channel’s own is its authors’. */
final class HarbourRequest extends FormRequest
{
    public function authorize(): bool
    {
        $user = $this->user();

        return $this->what() === 'stream' || ($user instanceof User && $user->is_operator);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return match ($this->what()) {
            'pace' => ['pace' => ['bail', 'required', 'integer', 'between:0,3000']],
            'stream' => [
                'live' => ['required', 'boolean'],
                'category' => ['required', 'string', 'max:140'],
                'title' => ['nullable', 'string', 'max:140'],
            ],
            'trouble' => [
                'trouble' => ['required', 'string', 'max:40'],
                'seconds' => ['bail', 'required', 'integer', 'between:1,120'],
            ],
            default => ['what' => ['in:pace,stream,trouble']],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pace.*' => 'A pace goes from 0 to 3000 lines a minute.',
            'seconds.*' => 'A trouble lasts from 1 to 120 seconds.',
            'trouble.*' => 'Choose a trouble.',
            'category.*' => 'Choose a category.',
            'title.*' => 'A title has at most 140 characters.',
        ];
    }

    public function what(): string
    {
        return $this->string('what')->value();
    }
}
