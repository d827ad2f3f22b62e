<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A slot in the first word of a reply that begins with a mark of instructions: `/[words]`. Silent where a space stands
 * between.
 */
final readonly class InstructionByHalves extends AbstractCheck
{
    public function code(): string
    {
        return 'instruction-by-halves';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '“{begins}” begins an instruction to the chat, and a slot would say the rest of it: the parrot stays '
            .'silent.';
    }

    public function mend(): string
    {
        return 'Write the instruction whole and put a space before the slot, or another sign at the beginning.';
    }

    public function reason(): string
    {
        return 'Whoever fills the slot would choose what the chat is told to do.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->said() as $text) {
            $first = $text->response->parts[0] ?? null;
            $second = $text->response->parts[1] ?? null;
            $begins = $first instanceof Text ? ltrim($first->text) : '';
            if (
                in_array(mb_substr($begins, 0, 1), $at->around->profile->instructionMarks, true)
                && preg_match('/\s/u', $begins) !== 1
                && ($second instanceof Slot || $second instanceof Choice)
            ) {
                $findings[] = new Finding(
                    $this,
                    $second instanceof Slot ? $second->span : ($second->branches[0] ?? null)?->span,
                    $text->at,
                    ['begins' => $begins],
                );
            }
        }

        return $findings;
    }
}
