<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** A list of which no item has a letter. Silent on one without items, which a response tells by failing. */
final readonly class ListOfBlanks extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'list-of-blanks';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{name} has nothing to say: all its items are blank.';
    }

    public function mend(): string
    {
        return 'Write an item.';
    }

    public function reason(): string
    {
        return 'What draws from it says nothing.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach (array_values($at->pack->lists) as $index => $list) {
            $filled = array_filter($list->items, static fn (WeightedText $item): bool => ! Fold::isBlank($item->text));
            if ($list->items !== [] && $filled === []) {
                $findings[] = new Finding($this, null, "/lists/$index", ['name' => "list.{$list->name}"]);
            }
        }

        return $findings;
    }
}
