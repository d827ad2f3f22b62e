<?php

declare(strict_types=1);

namespace App\Publish;

use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Format\ChosenChanges;

/** What is published, and the note it is published with. */
final class PublishRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'note' => ['nullable', 'string', 'max:500'],
            'changes' => ['array', 'max:20000'],
            'changes.*' => ['string', 'max:60'],
        ];
    }

    /** @return ChosenChanges|null null where nobody chose: all that can be published */
    public function chosen(): ?ChosenChanges
    {
        /** @var array{changes?: array<array-key, string>} $typed */
        $typed = $this->validated();

        return $this->boolean('chosen')
            ? new ChosenChanges(array_values($typed['changes'] ?? []), $this->boolean('rest'))
            : null;
    }

    public function note(): string
    {
        return $this->string('note')->trim()->value();
    }
}
