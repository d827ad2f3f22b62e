<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** An item of a list by a place that the list does not have. */
final readonly class ItemBeyondList extends AbstractCheck
{
    public function code(): string
    {
        return 'item-beyond-list';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{name} has {count}, so there is no item {place}.';
    }

    public function mend(): string
    {
        return 'Write a number from 1 to {most}.';
    }

    public function reason(): string
    {
        return 'The parrot would say nothing there.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $list =
                    $one instanceof Call && $one->folded[0] === 'list'
                        ? $at->pack->lists[$one->folded[1] ?? ''] ?? null
                        : null;
                $place =
                    $list === null || ! isset($one->operands[0]) || ! $one->operands[0] instanceof Literal
                        ? null
                        : $one->operands[0]->value;
                $isFixed = $list !== null && ! $list->isFromChat;
                if ($isFixed && is_int($place) && ($place < 1 || $place > count($list->items))) {
                    $findings[] = new Finding($this, $one->span(), $text->at, [
                        'name' => "list.{$list->name}",
                        'count' => count($list->items) === 1 ? '1 item' : count($list->items).' items',
                        'place' => (string) $place,
                        'most' => (string) count($list->items),
                    ]);
                }
            }
        }

        return $findings;
    }
}
