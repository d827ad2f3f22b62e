<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Message;
use SilverParrot\Source\Unseen;

/**
 * No saying begins with an instruction to the chat that came out of a slot, nor with a mark that another talker listens
 * to that people typed: such leading marks are dropped, and what cannot be seen before them. What the author wrote at
 * the beginning stays; but what is an instruction by the author's own mark is written whole by the author, or not said.
 */
final readonly class InstructionGuard implements Fitting
{
    public function fit(FittedText $fitted, MessageLimits $limits): void
    {
        if ($this->isInstructionByHalves($fitted, $limits)) {
            $fitted->pieces = [];
            $fitted->notes[] = new Message('fitted.instruction-by-halves');

            return;
        }
        $dropped = '';
        foreach ($fitted->pieces as $index => [$text, $origin]) {
            $marks = self::marks($origin, $limits);
            $characters = mb_str_split($text);
            $seen = false;
            $lastMark = -1;
            foreach ($characters as $at => $character) {
                if (in_array($character, $marks, true)) {
                    $lastMark = $at;
                } elseif (! Unseen::mayStandBefore($character)) {
                    $seen = true;
                    break;
                }
            }
            if ($lastMark >= 0) {
                $dropped .= implode('', array_intersect(array_slice($characters, 0, $lastMark + 1), $marks));
                $fitted->pieces[$index][0] = ltrim(implode('', array_slice($characters, $lastMark + 1)), ' ');
            }
            if ($seen) {
                break;
            }
        }
        if ($dropped !== '') {
            $fitted->notes[] = new Message('fitted.instruction', ['marks' => $dropped]);
            // Text that followed a dropped mark may begin with a space now.
            (new OneLine)->fit($fitted, $limits);
        }
    }

    /** @return list<string> the marks that may not begin what came from there */
    private static function marks(Origin $origin, MessageLimits $limits): array
    {
        return match ($origin) {
            Origin::Author => [],
            Origin::Pack => $limits->profile->instructionMarks,
            Origin::People => [...$limits->profile->instructionMarks, ...$limits->profile->talkerMarks],
        };
    }

    /** Whether the first word begins with the author's own mark, and a slot says part of it. */
    private function isInstructionByHalves(FittedText $fitted, MessageLimits $limits): bool
    {
        $isInstruction = false;
        foreach ($fitted->pieces as [$text, $origin]) {
            if ($isInstruction && $origin !== Origin::Author) {
                return true;
            }
            foreach ($origin === Origin::Author ? mb_str_split($text) : [$text] as $character) {
                if ($isInstruction && $character === ' ') {
                    return false;
                }
                if (! $isInstruction && ! Unseen::mayStandBefore($character)) {
                    $marks = $limits->profile->instructionMarks;
                    if ($origin !== Origin::Author || ! in_array($character, $marks, true)) {
                        return false;
                    }
                    $isInstruction = true;
                }
            }
        }

        return false;
    }
}
