<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\TimerRow;
use App\Storage\Assembler;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use SilverParrot\Hearing\Steps\RunCommand;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\PeopleLines;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Timer;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\WithoutCaller;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** A timer, as it was typed: messages one a line, or a command that it runs. */
final class TimerRequest extends FormRequest
{
    /** Nobody calls it, so none is one a day for each person. */
    public const ORDERS = [DrawOrder::InTurn, DrawOrder::Shuffled, DrawOrder::NoRepeat, DrawOrder::Free];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'minutes' => ['required', 'integer', 'between:0,'.Timer::LONGEST],
            'lines' => ['required', 'integer', 'between:0,'.Timer::MOST_LINES],
            'within' => ['nullable', 'integer', 'between:0,'.PeopleLines::LONGEST],
            'messages' => ['nullable', 'string', 'max:'. 20 * Limits::SOURCE],
            'order' => ['nullable', 'in:'.implode(',', array_column(self::ORDERS, 'value'))],
            'seen' => ['integer'],
            'run' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'minutes.*' => 'Minutes are a whole number from 0 (by lines alone) to '.Timer::LONGEST.'.',
            'within.*' => 'Lines count for 1 to '.PeopleLines::LONGEST.' minutes, or since it spoke last.',
            'lines.*' => 'Lines are a whole number from 0 to '.Timer::MOST_LINES.'.',
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(ResponseCache $prepared, Assembler $assembler): array
    {
        return [function (Validator $validator) use ($prepared, $assembler): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->integer('minutes') === 0 && $this->integer('lines') === 0) {
                $validator->errors()->add('lines', 'It would speak all the time: let it wait for minutes or lines.');
            }
            $taken = $this->channel()->timers()->where('name_folded', Fold::caseless($this->name()));
            if ($taken->when($this->row() !== null, fn ($query) => $query->whereKeyNot($this->row()?->id))->exists()) {
                $validator->errors()->add('name', 'Another timer has this name.');
            }
            if ($this->runs() === null && $this->string('run')->trim()->value() !== '') {
                $validator->errors()->add('run', 'There is no such command.');
            }
            if ($this->lines() === [] && $this->runs() === null && $this->kept() === null) {
                $validator->errors()->add('messages', 'It has nothing to say.');
            }
            if ($this->row() === null && $this->channel()->timers()->count() >= Timer::MOST) {
                $validator->errors()->add('name', 'There are '.Timer::MOST.' timers already: delete one first.');
            }
            if (count($this->lines()) > Timer::MOST_MESSAGES) {
                $validator->errors()->add('messages', 'It has at most '.Timer::MOST_MESSAGES.' messages.');

                return;
            }
            $pack = $assembler->names($this->channel());
            foreach ($this->lines() as $number => $line) {
                $problem = mb_strlen($line) > Limits::SOURCE
                    ? 'It is longer than '.number_format(Limits::SOURCE).' characters.'
                    : WithoutCaller::problem($line, $pack, $prepared);
                if ($problem !== '') {
                    $validator->errors()->add('messages', 'Message '.($number + 1).": $problem");
                }
            }
        }];
    }

    /** @param  string  $id  that it has already, or has from now on */
    public function timer(string $id): Timer
    {
        $run = $this->runs();
        $said = array_map(static fn (string $line): CommandResponse => Say::response($line), $this->lines());

        return new Timer(
            $this->name(),
            match (true) {
                $run !== null => [new CommandResponse([new RunCommand($run)])],
                $said === [] => $this->kept()->responses ?? [],
                default => $said,
            },
            $this->integer('minutes'),
            $this->integer('lines'),
            ! $this->boolean('offline_too'),
            $this->boolean('is_on'),
            DrawOrder::from($this->string('order')->value() ?: DrawOrder::InTurn->value),
            $id,
            $this->integer('within'),
        );
    }

    /** What no field of the form shows stays as it is. */
    private function kept(): ?Timer
    {
        $timer = $this->row()?->timer();

        return $timer !== null && TimerForm::of($timer)->isElsewhere ? $timer : null;
    }

    /** @return list<string> */
    private function lines(): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('/\R/u', $this->string('messages')->value()) ?: []),
                static fn (string $line): bool => $line !== '',
            ),
        );
    }

    private function runs(): ?string
    {
        $typed = $this->string('run')->trim()->value();
        $id = $typed === ''
            ? null
            : $this->channel()->commands()->where('trigger_folded', Fold::caseless($typed))->value('stable_id');

        return is_string($id) ? $id : null;
    }

    private function name(): string
    {
        return $this->string('name')->trim()->value();
    }

    private function row(): ?TimerRow
    {
        $row = $this->route('timer');

        return $row instanceof TimerRow ? $row : null;
    }

    private function channel(): Channel
    {
        $channel = $this->route('channel');

        return $channel instanceof Channel ? $channel : new Channel;
    }
}
