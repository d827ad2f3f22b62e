<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Models\Channel;
use App\Models\LookupRow;
use App\Web\RecordedAnswers;
use Illuminate\Http\Request;
use SilverParrot\Lookup\Lookup;

/** What stands in the fields of a look-up, saved or not: whose it is, and what is recorded of it meanwhile. */
final readonly class LookupFields
{
    private function __construct(public LookupForm $form, public Lookup $lookup, public ?LookupRow $row)
    {
    }

    public static function of(Request $request, Channel $channel): self
    {
        $stable = $request->string('stable')->value();
        $row = $stable === '' ? null : $channel->lookups()->where('stable_id', $stable)->first();
        $form = LookupForm::read($request, $row?->lookup());

        return new self(
            $form,
            $row === null ? $form->lookup->withId(self::draft($request)) : $form->lookup,
            $row,
        );
    }

    /** Under which everything is recorded until it is saved; no look-up that is saved has such an id. */
    public static function draft(Request $request): string
    {
        $typed = $request->string('draft')->value();

        return RecordedAnswers::DRAFT.(preg_match('/^[0-9a-z]{26}$/D', $typed) === 1 ? $typed : '');
    }

    /** @return array<int, string> paths that cannot be read, by place of the reading */
    public function pathProblems(): array
    {
        $problems = [];
        foreach (array_keys($this->form->lookup->readings) as $place => $name) {
            $problems[$place] = $this->form->problems["readings.$place.path"][0] ?? '';
        }

        return array_filter($problems, static fn (string $one): bool => $one !== '');
    }

    /**
     * @param  array<array-key, mixed>  $others  values to be tried instead of the samples, by name
     * @return array<string, string> what each parameter is tried with
     */
    public function arguments(array $others = []): array
    {
        $arguments = $this->form->samples();
        foreach ($this->lookup->parameters as $name => $parameter) {
            $other = $others[$parameter->name] ?? null;
            $sample = $arguments[$name] ?? '';
            $arguments[$name] = is_string($other) && trim($other) !== '' ? mb_substr(trim($other), 0, 200) : $sample;
        }

        return $arguments;
    }
}
