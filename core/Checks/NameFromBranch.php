<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Response\Vocabulary\HandlesGaps;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A name that is given in one branch of a choice and used outside of it. Silent where an “or” stands behind it, or a
 * [when …] asks for it.
 */
final readonly class NameFromBranch extends AbstractCheck
{
    public function code(): string
    {
        return 'name-from-branch';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{name}” is given only where that branch is taken, and is nothing elsewhere.';
    }

    public function mend(): string
    {
        return 'Give it before the choice, or write “{name} or …”.';
    }

    public function reason(): string
    {
        return 'The branch that is not taken leaves a gap here.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->estimate->slots as $estimated) {
                [$slot, $value] = [$estimated->slot, $estimated->slot->value];
                while ($value instanceof Filtered && ! $value->filter instanceof HandlesGaps) {
                    $value = $value->value;
                }
                if (
                    $value instanceof Variable
                    && $estimated->estimate->canBeNothing
                    && in_array($value->name, self::givenInBranches($text), true)
                ) {
                    $findings[] = new Finding($this, $slot->span, $text->at, ['name' => $value->name]);
                }
            }
        }

        return $findings;
    }

    /** @return list<string> */
    private static function givenInBranches(ReadText $text): array
    {
        $names = [];
        foreach (Part::all($text->response->parts) as $part) {
            foreach ($part instanceof Choice ? Part::all($part->inside()) : [] as $one) {
                if ($one instanceof Slot && $one->as !== '') {
                    $names[] = $one->as;
                }
            }
        }

        return $names;
    }
}
