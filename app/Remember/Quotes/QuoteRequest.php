<?php

declare(strict_types=1);

namespace App\Remember\Quotes;

use App\Border\OfItsChannel;
use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Memory\Quote;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/** A quote, as it was typed. */
final class QuoteRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:'.Limits::READING],
            'by' => ['nullable', 'string', 'max:'.Limits::QUOTE_BY],
            'link' => ['nullable', 'string', 'max:'.Limits::READING, 'url:http,https'],
            'category' => ['nullable', 'string', 'max:100'],
            'date' => ['nullable', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Enter what was said.',
            'link.url' => 'An address begins with https://, like https://cove.example/clip.',
            'date.date_format' => 'A date is written like 2026-11-25.',
        ];
    }

    /**
     * @param  Quote|null  $was  what it was before: a date that was not changed keeps its time
     * @param  string  $keptBy  for a new one
     */
    public function quote(int $number, ?Quote $was, string $keptBy): Quote
    {
        $zone = new \DateTimeZone($this->channel()->zone);
        $day = $this->string('date')->value();
        $isSameDay = $was?->date?->in($zone)->format('Y-m-d') === $day;

        return new Quote(
            $number,
            $this->string('text')->trim()->value(),
            $this->string('by')->trim()->ltrim('@')->value(),
            $this->string('category')->trim()->value(),
            match (true) {
                $isSameDay => $was->date ?? null,
                $was === null && $day === now($zone)->format('Y-m-d') => Moment::of(now()->startOfSecond()),
                default => Moment::fromIso($day, $zone),
            },
            $this->string('link')->trim()->value(),
            $was === null ? $keptBy : $was->keptBy,
        );
    }

    protected function getRedirectUrl(): string
    {
        $number = $this->route('quote');

        return route('remember.quotes', [$this->channel(), 'edit' => is_string($number) ? $number : 'new']);
    }
}
