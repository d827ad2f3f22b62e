<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Response\Vocabulary\Verbs\Assignable;
use SilverParrot\Response\Vocabulary\Verbs\FieldCell;
use SilverParrot\Response\Vocabulary\Writable;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Range;

/** `goods.lantern`, `goods.lantern for target`: how many of it a viewer owns. */
final readonly class GoodsName extends Name implements Remembering, Writable
{
    public function describe(): Description
    {
        return new Description(
            'goods',
            'for a person',
            'a whole number',
            '[caller] owns [goods.lantern | plural "# lantern" "# lanterns"].',
            'How many of a thing the caller owns; “for target” asks for somebody else.',
            also: ['shop', 'item'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [
                Checking::partExpected($call, 'goods.'.(array_key_first($pack->goods) ?? 'lantern')),
            ],
            ! isset($pack->goods[$call->folded[1]]) || isset($call->path[2]) => [
                Checking::unknownPart(
                    $call,
                    isset($call->path[2]) ? 2 : 1,
                    array_map(static fn (Goods $one): string => $one->name, array_values($pack->goods)),
                ),
            ],
            default => $call->operands === [] && $call->named === [] ? [] : Checking::takesNothing($call),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::whole(Range::ofACount())->orNothing();
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): int|Gap|null => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): int|Gap|null
    {
        $goods = $run->world->pack->goods[$call->folded[1] ?? ''] ?? null;
        $person = self::person($call, $run);
        if ($goods === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        if (! $person instanceof Person || ! $person->isKnown()) {
            return $person instanceof Gap ? $person : null;
        }
        $key = Key::goods($goods->id, $person->id);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $has = $run->memory()->value($key);

        return is_int($has) ? $has : 0;
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $person = self::person($call, $run);

        $goods = $run->world->pack->goods[$call->folded[1] ?? ''] ?? null;

        return $goods !== null && $person instanceof Person && $person->isKnown()
            ? [Key::goods($goods->id, $person->id)]
            : [];
    }

    public function canBeWritten(Call $call, Pack $pack): bool
    {
        return ! isset($call->path[2]);
    }

    public function cell(Call $call, EvaluationContext $run): Assignable|Gap
    {
        $goods = $run->world->pack->goods[$call->folded[1] ?? ''] ?? null;
        $person = self::person($call, $run);
        if ($goods === null || $person instanceof Gap) {
            return $person instanceof Gap
                ? $person
                : new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        if ($person === null || ! $person->isKnown()) {
            throw EvaluationFailure::nobodyToChange($person === null ? '' : $person->name, $call->span());
        }

        return $run->knows(Key::goods($goods->id, $person->id))
            ? FieldCell::ofGoods($goods, $person, $run)
            : Gap::pending();
    }

    private static function person(Call $call, EvaluationContext $run): Person|Gap|null
    {
        $person = $call->for === null ? $run->scene->caller : $call->for->value($run);

        return $person instanceof Person || $person instanceof Gap ? $person : null;
    }

    public function parts(Pack $pack): array
    {
        return array_column($pack->goods, 'name');
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
