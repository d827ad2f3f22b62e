<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A condition that is written out: yes, no, a number, a text. */
final readonly class ConstantCondition extends AbstractCheck
{
    public function code(): string
    {
        return 'constant-condition';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'This condition is always the same: {text} {holds}.';
    }

    public function mend(): string
    {
        return 'Ask for something, or leave the choice out.';
    }

    public function reason(): string
    {
        return 'One of the texts behind it is never said.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->estimate->conditions as $one) {
                if ($one->condition instanceof Literal) {
                    $findings[] = new Finding($this, $one->condition->span(), $text->at, [
                        'text' => $text->written($one->condition->span()),
                        'holds' => in_array($one->condition->value, [null, false, ''], true)
                            ? 'never holds'
                            : 'always holds',
                    ]);
                }
            }
        }

        return $findings;
    }
}
