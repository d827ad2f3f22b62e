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
            'text.max' => ScriptRoom::tooLong(),
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
            $problem = ScriptRoom::problem($this->channel(), $this->script($this->row()->stable_id ?? ''));
            if ($problem !== null) {
                $validator->errors()->add('text', $problem);
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
