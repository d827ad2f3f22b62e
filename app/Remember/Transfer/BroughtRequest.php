<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Border\OfItsChannel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** What somebody brings: a file, or what was pasted. */
final class BroughtRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $most = BroughtText::BYTES;

        return [
            'file' => ['nullable', 'file', 'max:'.intdiv($most, 1_024)],
            'pasted' => ['required_without:file', 'nullable', 'string', "max:$most"],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pasted.required_without' => 'Choose a file, or paste something.',
            'file.*' => 'This file was not taken: it may have 4 MB.',
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile
            ? mb_scrub((string) file_get_contents($file->getPathname()))
            : $this->string('pasted')->value();
    }

    protected function getRedirectUrl(): string
    {
        return route('remember.bring', [$this->channel(), $this->route('transfer'), 'of' => $this->query('of')]);
    }
}
