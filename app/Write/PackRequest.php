<?php

declare(strict_types=1);

namespace App\Write;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use SilverParrot\Source\Limits;

/** A pack document that somebody chose. */
final class PackRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['pack' => ['required', 'file', 'max:'.intdiv(Limits::PACK, 1_024)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pack.required' => 'Choose a pack document.',
            'pack.*' => 'This file was not taken: a pack document has at most 4 MB.',
        ];
    }

    public function document(): string
    {
        $file = $this->file('pack');

        return mb_scrub($file instanceof UploadedFile ? (string) file_get_contents($file->getPathname()) : '');
    }
}
