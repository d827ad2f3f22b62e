<?php

declare(strict_types=1);

namespace App\Remember\Points;

use App\Border\OfItsChannel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use SilverParrot\Chat\Level;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Format\EarningFormat;
use SilverParrot\Pack\EarnedBy;
use SilverParrot\Pack\Earning;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\LevelRule;

/** A rule by which points are earned, as it was typed. */
final class EarningRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'unit' => [
                'required',
                Rule::exists('fields', 'stable_id')
                    ->where('channel_id', $this->channel()->id)
                    ->where('type', FieldType::Points->value),
            ],
            // Nothing that happens is heard yet: such a rule comes with a pack alone.
            'earned_by' => ['required', Rule::enum(EarnedBy::class)->except([EarnedBy::Happening])],
            'amount' => ['required', 'integer', 'between:1,'.EarningFormat::MOST],
            'minutes' => ['nullable', 'integer', 'between:0,'.Earning::LONGEST],
            'level' => ['nullable', Rule::in(Level::words())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'unit.*' => 'Choose points that there are.',
            'amount.*' => 'An amount is a whole number from 1 on.',
            'minutes.*' => 'Write minutes from 0 to '.number_format(Earning::LONGEST).'.',
        ];
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        $level = Level::named($this->string('level')->value());
        $by = $this->string('earned_by')->value();
        $rule = new LevelRule($level === null || $level === Level::Everyone ? [] : [$level]);

        return [
            'unit' => $this->string('unit')->value(),
            'earned_by' => $by,
            'amount' => $this->integer('amount'),
            // Being here has no each: it is given by the minute.
            'minutes' => max($by === EarnedBy::BeingHere->value ? 1 : 0, $this->integer('minutes')),
            'levels' => LevelFormat::writeRule($rule),
            'while_live' => ! $this->boolean('offline_too'),
        ];
    }
}
