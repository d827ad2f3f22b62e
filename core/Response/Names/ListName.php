<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Memory\Key;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\ListDraw;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Mistake;
use SilverParrot\Response\Name;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Remembering;
use SilverParrot\Response\SaysOwnText;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Range;

final readonly class ListName implements Name, Remembering, SaysOwnText
{
    public function describe(): Described
    {
        return new Described('list', 'a whole number, for one item by its place', 'a text', 'Today’s knot: [list.knots]', 'Draws an item of a list in its draw order; with a number, that item; .size is how many there are.', parts: ['size']);
    }

    public function check(Call $call, Pack $pack): array
    {
        if (! isset($call->path[1])) {
            return [Checking::partExpected($call, 'list.'.(array_key_first($pack->lists) ?? 'knots'))];
        }
        if (! isset($pack->lists[$call->folded[1]])) {
            return [Checking::unknownPart($call, 1, array_map(static fn (TextList $list): string => $list->name, array_values($pack->lists)))];
        }
        if (isset($call->path[3]) || (isset($call->path[2]) && $call->folded[2] !== 'size')) {
            return [Checking::unknownPart($call, 2, ['size'])];
        }
        $most = isset($call->path[2]) ? 0 : 1;

        return count($call->operands) > $most || $call->named !== [] || $call->for !== null
            ? [new Finding(Mistake::TakesNothing, $call->span(), data: ['name' => implode('.', $call->path)])] : [];
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        $list = $in->pack->lists[$call->folded[1] ?? ''] ?? null;
        if ($list === null) {
            return Outlook::nothing()->orGap(GapReason::Unknown);
        }
        if (isset($call->path[2])) {
            return Outlook::whole(new Range(count($list->items), count($list->items)));
        }
        $item = Outlook::oneOf(...array_map(static fn (WeightedText $one): string => $one->text, $list->items));

        return match (true) {
            isset($call->operands[0]) => $item->orNothing()->orGap(...$in->value($call->operands[0])->asNumber()->gaps),
            $list->items === [] => $item->orGap(GapReason::EmptyList),
            default => $item,
        };
    }

    public function value(Call $call, Run $run): int|string|Gap|null
    {
        $list = $run->world->pack->lists[$call->folded[1] ?? ''] ?? null;
        if ($list === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        if (isset($call->path[2])) {
            return count($list->items);
        }
        if (isset($call->operands[0])) {
            $place = Numbers::whole($call->operands[0]->evaluate($run));

            return $place instanceof Gap ? $place : ($list->items[$place - 1] ?? null)?->text;
        }

        return ListDraw::from($list, $call->span(), $run);
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, Run $run): array
    {
        $list = $run->world->pack->lists[$call->folded[1] ?? ''] ?? null;

        return $list !== null && $list->order->needsMemory() && $call->operands === [] && ! isset($call->path[2]) ? [Key::listPosition($list->id)] : [];
    }
}
