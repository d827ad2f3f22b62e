<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Response\Vocabulary\Names\Message;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/**
 * A reply that begins with what people typed. Silent behind any text, and on names of people, which hold no such marks.
 */
final readonly class TypedTextLeads extends AbstractCheck
{
    public function code(): string
    {
        return 'typed-text-leads';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'This reply begins with what somebody typed, so marks like “!” and “/” are left out at its beginning.';
    }

    public function mend(): string
    {
        return 'Put a word of your own before it.';
    }

    public function reason(): string
    {
        return 'Otherwise anybody could speak to the chat, or to another talker, in the parrot’s name.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->said() as $text) {
            foreach ($text->response->parts as $part) {
                if ($part instanceof Text && Fold::isBlank($part->text)) {
                    continue;
                }
                if ($part instanceof Slot && ! $part->isQuiet && self::isTyped($part->value)) {
                    $findings[] = new Finding($this, $part->span, $text->at);
                }
                break;
            }
        }

        return $findings;
    }

    private static function isTyped(object $value): bool
    {
        return match (true) {
            $value instanceof Filtered => self::isTyped($value->value),
            $value instanceof Coalesce => self::isTyped($value->left) || self::isTyped($value->right),
            $value instanceof Call => $value->name instanceof Message,
            default => $value instanceof Words,
        };
    }
}
