<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Said;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

final readonly class FactName extends Name
{
    public function describe(): Description
    {
        return new Description(
            'fact',
            '',
            'a text',
            'The shed is at [fact.workshop].',
            'A text that is kept in one place and used in many responses.',
            also: ['text', 'note', 'variable'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [
                Checking::partExpected($call, 'fact.'.(array_key_first($pack->facts) ?? 'workshop')),
            ],
            ! isset($pack->facts[$call->folded[1]]) || isset($call->path[2]) => [
                Checking::unknownPart(
                    $call,
                    isset($call->path[2]) ? 2 : 1,
                    array_map(static fn (Fact $fact): string => $fact->name, array_values($pack->facts)),
                ),
            ],
            default => Checking::takesNothing($call),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $fact = $in->pack->facts[$call->folded[1] ?? ''] ?? null;

        return match (true) {
            $fact === null => ValueEstimate::nothing()->orGap(GapReason::Unknown),
            $fact->isResponse => $in->own($fact->text, "fact.{$fact->name}"),
            default => ValueEstimate::written($fact->text),
        };
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): string|Said|Gap => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): string|Said|Gap
    {
        $fact = $run->world->pack->facts[$call->folded[1] ?? ''] ?? null;
        if ($fact === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }

        return $fact->isResponse ? $run->own->say($fact->text, "fact.{$fact->name}", $run) : $fact->text;
    }

    public function saysOwnText(): bool
    {
        return true;
    }

    public function parts(Pack $pack): array
    {
        return array_column($pack->facts, 'name');
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
