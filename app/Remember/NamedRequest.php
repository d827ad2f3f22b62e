<?php

declare(strict_types=1);

namespace App\Remember;

use App\Border\OfItsChannel;
use App\Storage\Definitions\Named\NamedDefinition;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use SilverParrot\Format\PackFormat;
use SilverParrot\Source\Fold;

/** Something that has a name, as it was typed. */
final class NamedRequest extends FormRequest
{
    use OfItsChannel;

    protected function prepareForValidation(): void
    {
        $name = $this->string('name')->trim()->value();
        $this->merge(['name' => $name, 'name_folded' => Fold::caseless($name)]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['bail', 'required', 'string', 'max:60', 'regex:/^[\p{L}_][\p{L}\p{M}\p{N}_]*$/Du'],
            'name_folded' => [
                Rule::unique($this->kind()->rows($this->channel())->getModel()->getTable(), 'name_folded')
                    ->where('channel_id', $this->channel()->id)
                    ->ignore($this->route('stable'), 'stable_id'),
            ],
        ] + $this->kind()->rules();
    }

    /** @return list<Closure(Validator): void> what a pack document has no room for is not made */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $isNew = $this->route('stable') === null;
            if ($isNew && $this->kind()->rows($this->channel())->count() >= PackFormat::DEFINITIONS) {
                $most = number_format(PackFormat::DEFINITIONS);
                $validator->errors()->add('name', "There are $most already: delete one first.");
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter a name, for example spills.',
            'name.regex' => 'A name has letters, digits and “_” only, and begins with a letter.',
            'name_folded.unique' => 'There is one of this name already.',
            'items.required' => 'Enter at least one item, one a line.',
            'text.required' => 'Enter the text.',
            'floor.lte' => 'The floor cannot be above the start.',
            'ceiling.gte' => 'The ceiling cannot be below the start.',
        ];
    }

    public function kind(): NamedDefinition
    {
        $kind = $this->route('kind');

        return NamedDefinition::called(is_string($kind) ? $kind : '') ?? abort(Response::HTTP_NOT_FOUND);
    }

    public function name(): string
    {
        return $this->string('name')->value();
    }

    /** @return array<string, mixed> name and columns, as the definition is put */
    public function state(): array
    {
        /** @var array<string, mixed> $typed */
        $typed = $this->validated();

        return ['name' => $this->name()] + $this->kind()->columns($typed);
    }

    protected function getRedirectUrl(): string
    {
        $stable = $this->route('stable');

        return route($this->kind()->page(), [
            $this->channel(),
            'kind' => $this->kind()->key(),
            'edit' => is_string($stable) ? $stable : 'new',
        ]);
    }
}
