<?php

declare(strict_types=1);

namespace App\Remember;

use App\Border\OfItsChannel;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\LevelRule;

/** A new emote, as it was typed. */
final class EmoteRequest extends FormRequest
{
    use OfItsChannel;

    /** Of one channel; more would not be told apart any more. */
    private const MOST = 500;

    /** Characters of all pictures of a channel together: they travel with the pack, which has a limit of its own. */
    private const ALL_PICTURES = 1_000_000;

    protected function prepareForValidation(): void
    {
        $this->merge(['word' => $this->word()]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $isWord = static function (string $field, mixed $word, Closure $fail): void {
            if (! is_string($word) || ! Emote::isWord($word)) {
                $fail('An emote’s word has two to forty letters, digits and “_”.');
            }
        };
        $isPicture = static function (string $field, mixed $file, Closure $fail): void {
            if (self::pixels($file) === null) {
                $fail('The picture was not taken: a PNG, GIF or WebP of at most 48 kB is.');
            }
        };

        return [
            'word' => [
                'bail',
                'required',
                $isWord,
                Rule::unique('emotes', 'word')->where('channel_id', $this->channel()->id),
            ],
            'picture' => ['nullable', $isPicture],
            'level' => ['nullable', 'string', Rule::in(Level::words())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'word.required' => 'Write the word that shows it.',
            'word.unique' => ':input is an emote here already.',
            'picture.*' => 'The picture was not taken: a PNG, GIF or WebP of at most 48 kB is.',
            'level.*' => 'Choose who may use it.',
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $emotes = $this->channel()->emotes();
            $bytes = (int) $emotes->sum(DB::raw('LENGTH(picture)')) + strlen($this->picture());
            if ($bytes > self::ALL_PICTURES || $emotes->count() >= self::MOST) {
                $validator->errors()->add(
                    'picture',
                    'There is no more room for emotes: delete one first, or use smaller pictures.',
                );
            }
        }];
    }

    public function word(): string
    {
        return $this->string('word')->trim()->value();
    }

    /** @return string its pixels as an address, as they are kept; empty where none were sent */
    public function picture(): string
    {
        return self::pixels($this->file('picture')) ?? '';
    }

    public function levels(): LevelRule
    {
        $level = Level::named($this->string('level')->value());

        return new LevelRule($level === null || $level === Level::Everyone ? [] : [$level]);
    }

    /** @return string|null empty where none was sent; null for what is no picture */
    private static function pixels(mixed $file): ?string
    {
        if (! $file instanceof UploadedFile) {
            return '';
        }
        $bytes = $file->isValid()
            ? (string) file_get_contents($file->getPathname(), length: Emote::LONGEST_PICTURE)
            : '';
        foreach (['png', 'gif', 'webp'] as $kind) {
            $picture = "data:image/{$kind};base64,".base64_encode($bytes);
            if (strlen($picture) <= Emote::LONGEST_PICTURE && Emote::isPicture($picture)) {
                return $picture;
            }
        }

        return null;
    }
}
