<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Models\ScriptRow;
use App\Storage\Assembler;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Source\Finding;

/** A script, as it was typed. */
final class ScriptRequest extends FormRequest
{
    /** Characters of all scripts of a channel together: they are in each export of its pack. */
    private const ALL = 1_500_000;

    private const SHOWN = 8;

    private ?ReadScript $read = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:'.Script::LONGEST]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Write the script: a title, and lines with what is expected of them.',
            'text.max' => 'A script has at most '.number_format(Script::LONGEST).' characters: divide it.',
        ];
    }

    /** @return list<\Closure(Validator): void> */
    public function after(Assembler $assembler): array
    {
        return [function (Validator $validator) use ($assembler): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            [$this->read, $findings] = ScriptFormat::read($this->text(), $this->pack($assembler));
            foreach (array_slice($findings, 0, self::SHOWN) as $finding) {
                $validator->errors()->add('text', self::sentence($finding));
            }
            if ($this->read === null || $findings !== []) {
                return;
            }
            $others = $this->channel()->scripts()->when(
                $this->row() !== null,
                fn ($query) => $query->whereKeyNot($this->row()?->id),
            );
            $length = $others->clone()->reorder()->selectRaw('SUM(CHAR_LENGTH(text)) AS length')->value('length');
            if ((is_numeric($length) ? (int) $length : 0) + mb_strlen($this->text()) > self::ALL) {
                $validator->errors()->add('text', 'All scripts together are too long: delete some.');
            }
            if ($others->count() >= Script::MOST) {
                $validator->errors()->add('text', 'There are '.Script::MOST.' scripts already: delete some.');
            }
        }];
    }

    public function text(): string
    {
        return str_replace("\r\n", "\n", $this->string('text')->value());
    }

    public function script(string $id): Script
    {
        $title = trim($this->read->title ?? '');

        return new Script($id, $title === '' ? 'Without a title' : $title, $this->text());
    }

    public function read(): ?ReadScript
    {
        return $this->read;
    }

    /** "chat, 3, line: …" */
    public static function sentence(Finding $finding): string
    {
        $place = trim(implode(', ', array_map(
            static fn (string $part): string => ctype_digit($part) ? (string) ((int) $part + 1) : $part,
            explode('/', ltrim($finding->at, '/')),
        )), ', ');

        return ($place === '' ? '' : "$place: ").trim("{$finding->sentence()} {$finding->mend()}");
    }

    private function pack(Assembler $assembler): Pack
    {
        return $assembler->pack($this->channel());
    }

    private function channel(): Channel
    {
        /** @var Channel $channel */
        $channel = $this->route('channel');

        return $channel;
    }

    private function row(): ?ScriptRow
    {
        $row = $this->route('script');

        return $row instanceof ScriptRow ? $row : null;
    }
}
