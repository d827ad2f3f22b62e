<?php

declare(strict_types=1);

namespace Tests\Pathological;

use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Response\Response;
use SilverParrot\Response\Syntax\Broken;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;

/** Says a response by asking each part of its tree in turn, with nothing made ready beforehand: what rows are held against. */
final class StepByStep
{
    /** @return string what is said, or the sentence of why it fails */
    public static function say(Response $response, Run $run): string
    {
        try {
            $text = self::all($response->parts, $run);

            return mb_strlen($text) > Limits::SAID ? Failed::tooMuchSaid()->getMessage() : $text;
        } catch (Failed $failed) {
            return $failed->getMessage();
        }
    }

    /** @param  list<Part>  $parts */
    private static function all(array $parts, Run $run): string
    {
        return implode('', array_map(static fn (Part $part): string => match (true) {
            $part instanceof Text => $part->text,
            $part instanceof Slot => self::slot($part, $run),
            $part instanceof Choice => self::all(self::chosen($part, $run), $run),
            $part instanceof Broken => throw Failed::unreadable($part->span),
        }, $parts));
    }

    private static function slot(Slot $slot, Run $run): string
    {
        $value = $slot->value->evaluate($run);
        if ($value instanceof Gap && ! ($slot->isQuiet && $slot->as !== '')) {
            throw Failed::gap($value, $slot->span);
        }
        $run->bind($slot->as, $value);

        return $slot->isQuiet ? '' : $run->print($value);
    }

    /** @return list<Part> */
    private static function chosen(Choice $choice, Run $run): array
    {
        foreach ($choice->branches as [$condition, $parts, $span]) {
            $value = $condition->evaluate($run);
            if ($value instanceof Gap) {
                throw Failed::gap($value, $span);
            }
            if (Truth::of($value)) {
                return $parts;
            }
        }

        return $choice->otherwise;
    }
}
