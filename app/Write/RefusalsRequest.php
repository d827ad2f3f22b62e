<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ChangesNothing;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Limits;

/** What is said where gates are closed, as it was typed: each can be read, and changes nothing. */
final class RefusalsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'refusals' => ['array'],
            'refusals.*' => ['nullable', 'string', 'max:'.Limits::SOURCE],
            'seen' => ['integer'],
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(ResponseCache $prepared, Assembler $assembler): array
    {
        return [function (Validator $validator) use ($prepared, $assembler): void {
            $channel = $this->route('channel');
            $pack = $channel instanceof Channel ? $assembler->names($channel) : Pack::blank();
            foreach ($this->texts() as $key => $text) {
                $problem = ChangesNothing::problem($prepared->response($text), $pack);
                if ($problem !== '') {
                    $validator->errors()->add("refusals.$key", "$problem.");
                }
            }
        }];
    }

    /** @return array<string, string> by the refusal’s key, without those that are empty */
    public function texts(): array
    {
        $texts = [];
        foreach (array_keys(GateSettings::refusals()) as $key) {
            $text = $this->string("refusals.$key")->trim()->value();
            $texts += $text === '' ? [] : [$key => $text];
        }

        return $texts;
    }
}
