<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Hearing\Deeds\Deeds;
use SilverParrot\Hearing\Deeds\KeepQuote;
use SilverParrot\Hearing\Steps\Perform;
use SilverParrot\Hearing\Steps\RunCommand;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Steps\Step;
use SilverParrot\Source\Limits;

/** One step of a response: an object with the step's key, and what goes with it. */
final class StepFormat
{
    /**
     * @return array<string, callable(Document): Step> what reads each kind, by the key that names it; a new one is one
     *     line here
     */
    private static function kinds(): array
    {
        return [
            'do' => self::perform(...),
            'run' => static fn (Document $step): Step => new RunCommand(
                $step
                    ->object(['run', 'words'], ['run'])
                    ->at('run')
                    ->text(60),
                $step->has('words') ? $step->at('words')->text(Limits::SOURCE) : '',
            ),
            'say' => static fn (Document $step): Step => new Say(
                $step
                    ->object(['say'])
                    ->at('say')
                    ->text(Limits::SOURCE),
            ),
        ];
    }

    private static function perform(Document $step): Perform
    {
        $named = $step->object(['do', 'with'], ['do'])->at('do');
        $key = $named->text(40);
        $deed = Deeds::named($key);
        if ($deed === null) {
            $named->notOneOf($key, array_keys(Deeds::all()));
        }
        $deed ??= new KeepQuote;
        $with = [];
        if ($step->has('with')) {
            $inputs = $step->at('with')->object(array_keys($deed->inputs()), []);
            foreach (array_keys($deed->inputs()) as $input) {
                if ($inputs->has($input)) {
                    $with[$input] = $inputs->at($input)->text(Limits::SOURCE);
                }
            }
        }

        return new Perform($deed, $with);
    }

    public static function read(Document $step): Step
    {
        foreach (self::kinds() as $key => $read) {
            if ($step->has($key)) {
                return $read($step);
            }
        }
        $step->object(array_keys(self::kinds()), ['say']);

        return new Say('');
    }
}
