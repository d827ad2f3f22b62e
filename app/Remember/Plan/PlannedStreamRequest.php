<?php

declare(strict_types=1);

namespace App\Remember\Plan;

use App\Border\OfItsChannel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use SilverParrot\Pack\PlannedStream;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Source\Limits;

/** A stream of the plan, each week or once. */
final class PlannedStreamRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'weekday' => ['required', Rule::in([...array_keys(StreamPlan::DAYS), 'once'])],
            'date' => ['required_if:weekday,once', 'nullable', 'date_format:Y-m-d'],
            'at' => ['required', 'date_format:H:i'],
            'minutes' => ['required', 'integer', 'between:1,'.PlannedStream::LONGEST],
            'title' => ['nullable', 'string', 'max:'.Limits::FIELD_TEXT],
            'category' => ['nullable', 'string', 'max:100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'date.*' => 'Write the date like 2026-12-24.',
            'at.*' => 'Write the time like 19:30.',
            'minutes.*' => 'Write minutes from 1 to '.number_format(PlannedStream::LONGEST).'.',
        ];
    }

    public function stream(): PlannedStream
    {
        $weekday = $this->string('weekday')->value();

        return new PlannedStream(
            $weekday === 'once' ? $this->string('date')->value() : $weekday,
            $this->string('at')->value(),
            $this->integer('minutes'),
            $this->string('title')->trim()->value(),
            $this->string('category')->trim()->value(),
        );
    }
}
