<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\ListDraw;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Said;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Range;

final readonly class ListName extends Name implements Remembering
{
    public function describe(): Description
    {
        return new Description(
            'list',
            'a whole number, for one item by its place',
            'a text',
            'Today’s knot: [list.knots]',
            'Draws an item of a list in its draw order; with a number, that item; .size is how many there are.',
            parts: ['size'],
            also: ['random', 'pick', 'draw'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        if (! isset($call->path[1])) {
            return [Checking::partExpected($call, 'list.'.(array_key_first($pack->lists) ?? 'knots'))];
        }
        if (! isset($pack->lists[$call->folded[1]])) {
            return [
                Checking::unknownPart(
                    $call,
                    1,
                    array_map(static fn (TextList $list): string => $list->name, array_values($pack->lists)),
                ),
            ];
        }
        if (isset($call->path[3]) || (isset($call->path[2]) && $call->folded[2] !== 'size')) {
            return [Checking::unknownPart($call, 2, ['size'])];
        }
        $most = isset($call->path[2]) ? 0 : 1;

        return count($call->operands) > $most || $call->named !== [] || $call->for !== null
            ? [new Finding(SyntaxErrorCode::TakesNothing, $call->span(), data: ['name' => implode('.', $call->path)])]
            : [];
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $list = $in->pack->lists[$call->folded[1] ?? ''] ?? null;
        if ($list === null) {
            return ValueEstimate::nothing()->orGap(GapReason::Unknown);
        }
        if (isset($call->path[2])) {
            $most = count($list->items) + ($list->isFromChat ? AddedItems::MOST : 0);

            return ValueEstimate::whole(new Range(count($list->items), $most));
        }
        $item = self::items($list, $in);
        $item = $list->isFromChat ? $item->orElse(ValueEstimate::text(1, AddedItems::LONGEST)->typed()) : $item;

        return match (true) {
            isset($call->operands[0]) => $item
                ->orNothing()
                ->orGap(...$in->value($call->operands[0])->asNumber()->gaps)
                ->failing(
                    $in->value($call->operands[0])->asNumber()->fails
                        ?? ($in->value($call->operands[0])->isNeverWhole() ? CertainFailure::NotWhole : null),
                ),
            $list->items === [] => $item->orGap(GapReason::EmptyList),
            default => $item,
        };
    }

    private static function items(TextList $list, EstimateContext $in): ValueEstimate
    {
        if (! $list->isResponses) {
            $text = static fn (WeightedText $one): string => $one->text;

            return ValueEstimate::oneOf(...array_map($text, $list->items));
        }
        $own = static fn (WeightedText $one): ValueEstimate => $in->own($one->text, "list.{$list->name}");
        $all = array_map($own, $list->items);

        return $all === []
            ? ValueEstimate::oneOf()
            : ValueEstimate::text(
                min(array_map(static fn (ValueEstimate $one): int => $one->shortest, $all)),
                max(array_map(static fn (ValueEstimate $one): int => $one->longest, $all)),
                max(array_map(static fn (ValueEstimate $one): int => $one->bytes, $all)),
            )->orGap(...array_merge(...array_map(static fn (ValueEstimate $one): array => $one->gaps, $all)));
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function lastParts(): array
    {
        return ['size'];
    }

    public function prepared(Call $call): Closure
    {
        [$name, $span, $asksForSize] = [$call->folded[1] ?? '', $call->span(), isset($call->path[2])];
        $asked = ($call->operands[0] ?? null)?->prepared();

        return static function (
            EvaluationContext $run,
        ) use ($call, $name, $span, $asksForSize, $asked): int|string|Said|Gap|null {
            $list = $run->world->pack->lists[$name] ?? null;
            if ($list === null) {
                return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
            }
            $list = ListDraw::whole($list, $run);
            if ($list === null || $asksForSize) {
                return $list === null ? Gap::pending() : count($list->items);
            }
            if ($asked === null) {
                return ListDraw::from($list, $span, $run);
            }
            $place = Numbers::whole($asked($run));

            return match (true) {
                $place instanceof Gap => $place,
                ! isset($list->items[$place - 1]) => null,
                default => ListDraw::text($list, $place - 1, $run),
            };
        };
    }

    /** Each use of it draws anew. */
    public function key(Call $call): ?string
    {
        return isset($call->path[2]) ? parent::key($call) : null;
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $list = $run->world->pack->lists[$call->folded[1] ?? ''] ?? null;

        $isDrawn = $call->operands === [] && ! isset($call->path[2]);

        return $list === null ? [] : [
            ...$list->isFromChat ? [Key::addedItems($list->id)] : [],
            ...$list->order->needsMemory() && $isDrawn ? [ListDraw::position($list, $run)] : [],
        ];
    }

    public function saysOwnText(): bool
    {
        return true;
    }

    public function parts(Pack $pack): array
    {
        return array_column($pack->lists, 'name');
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
