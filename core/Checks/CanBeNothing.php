<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\EndsGaps;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Change;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** What was typed, or whom it names, in a sentence without an “or”. Silent inside a [when …] that asks for it, behind a filter “default” or “quiet”, behind a verb that needs it, with “as”, in refusal texts, and where nothing else is said. */
final readonly class CanBeNothing extends Concern
{
    public function code(): string
    {
        return 'can-be-nothing';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'Where {when}, {name} is nothing, and the sentence has a hole.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return '“Ahoy !” is what people see then.';
    }

    public function look(Looked $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            if ($text->isResponse() && count($text->response->parts) > 1) {
                array_push($findings, ...$this->in($text->response->parts, [], $text));
            }
        }

        return $findings;
    }

    /**
     * @param  list<Part>  $parts
     * @param  list<string>  $asked  what conditions around these parts have asked for
     * @return list<Finding>
     */
    private function in(array $parts, array $asked, ReadText $text): array
    {
        $findings = [];
        foreach ($parts as $part) {
            if ($part instanceof Choice) {
                $before = $asked;
                foreach ($part->branches as [$condition, $inside]) {
                    array_push($findings, ...$this->in($inside, [...$before, ...self::named($condition)], $text));
                    // Where a condition did not hold, its other branches know of it too.
                    $before = [...$before, ...self::named($condition)];
                }
                array_push($findings, ...$this->in($part->otherwise, $before, $text));
            } elseif ($part instanceof Slot && self::changes($part->value)) {
                // A verb fails where they are nothing, and with it all the rest.
                $asked = [...$asked, ...self::named($part->value)];
            } elseif ($part instanceof Slot && ! $part->isQuiet && $part->as === '') {
                $value = $part->value;
                while ($value instanceof Filtered && ! $value->filter instanceof EndsGaps) {
                    $value = $value->value;
                }
                $name = self::named($value)[0] ?? '';
                if ($name !== '' && ($value instanceof Words || ($value instanceof Call && count($value->folded) === 1)) && ! in_array($name, $asked, true)) {
                    $written = mb_substr($text->response->text, $value->span()->from, $value->span()->to - $value->span()->from);
                    $isWhole = $value === $part->value;
                    $instead = $isWhole ? "[$written or \"…\"]" : "[($written or \"…\") | …]";
                    $findings[] = new Finding($this, $part->span, $text->at, ['name' => $written, 'when' => $name === 'target' ? 'nobody is named' : 'nothing is typed', 'instead' => $instead]);
                }
            }
        }

        return $findings;
    }

    private static function changes(Expression $value): bool
    {
        while ($value instanceof Filtered) {
            $value = $value->value;
        }

        return $value instanceof Change;
    }

    /** @return list<string> "target" and "words", where an expression names them */
    private static function named(Expression $expression): array
    {
        $names = [];
        foreach (Walk::within($expression) as $one) {
            if ($one instanceof Words) {
                $names[] = 'words';
            } elseif ($one instanceof Call && $one->folded[0] === 'target') {
                $names[] = 'target';
            }
        }

        return $names;
    }
}
