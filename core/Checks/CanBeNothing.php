<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Response\Vocabulary\HandlesGaps;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * What can be nothing, in a sentence without an “or”: words that were not typed, nobody named, an occasion that never
 * was, a field nobody filled in, a stream that is off. Silent inside a [when …] that asks for it, behind a filter
 * “default” or “quiet”, behind a verb that needs it, with “as”, in refusal texts, on details of the channel itself, and
 * where nothing else is said.
 */
final readonly class CanBeNothing extends AbstractCheck
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
        return 'Where {when}, {name} is nothing, which leaves a gap in the sentence.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return '“Ahoy !” is what people see then.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->said() as $text) {
            foreach (
                $text->isResponse() && count($text->response->parts) > 1 ? $text->estimate->slots : [] as $estimated
            ) {
                $slot = $estimated->slot;
                $root = $slot->value;
                while ($root instanceof Filtered && ! $root->filter instanceof HandlesGaps) {
                    $root = $root->value;
                }
                $when =
                    $estimated->estimate->canBeNothing
                    && $estimated->estimate->fails === null
                    && ! $slot->isQuiet
                    && $slot->as === ''
                    && ! self::isNeeded($root, $text)
                        ? $root->whenNothing($at->pack)
                        : null;
                if ($when !== null) {
                    $written = $text->written($root->span());
                    $instead = $root === $slot->value ? "[$written or \"…\"]" : "[($written or \"…\") | …]";
                    $findings[] = new Finding($this, $slot->span, $text->at, [
                        'name' => $written,
                        'when' => $when,
                        'instead' => $instead,
                    ]);
                }
            }
        }

        return $findings;
    }

    /** Whether the command answers nobody who left it out. */
    private static function isNeeded(Expression $root, ReadText $text): bool
    {
        return match (true) {
            // The first word and all that follow: a second one need not be there.
            $root instanceof Words => $root->from === 1 && $text->command->gates->promise('words'),
            $root instanceof Call => $root->folded === ['target'] && $text->command->gates->promise('target'),
            default => false,
        };
    }
}
