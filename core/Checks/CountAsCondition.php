<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A counter or another number alone as a condition. Silent on texts and on what can be nothing. */
final readonly class CountAsCondition extends AbstractCheck
{
    public function code(): string
    {
        return 'count-as-condition';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{name} is a number, and a number always is a value, 0 too: this always holds.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return '“when” asks whether there is a value.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->estimate->conditions as $estimated) {
                $isCount = $estimated->estimate->isOnly(ValueKind::Number) && ! $estimated->estimate->canBeNothing;
                if ($isCount && $estimated->estimate->fails === null && ! $estimated->condition instanceof Literal) {
                    $written = $text->written($estimated->condition->span());
                    $findings[] = new Finding(
                        $this,
                        $estimated->condition->span(),
                        $text->at,
                        ['name' => $written, 'instead' => "$written > 0"],
                        "$written > 0",
                    );
                }
            }
        }

        return $findings;
    }
}
