<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;
use SilverParrot\Value\Value;

final readonly class OutcomeName extends Name
{
    /** Characters of a sentence that says why, at most: all levels by name, and a few words around them. */
    public const LONGEST = 120;

    private const PARTS = ['name', 'reason', 'left', 'needs', 'before', 'after', 'has', 'nearest', 'also'];

    public function describe(): Description
    {
        return new Description(
            'outcome',
            '',
            'what the part is',
            'Not so fast, [caller]: again in [outcome.left].',
            'In refusal replies: what was asked for, why it is refused, how long it still is, what it needs. '
                .'Behind something that was done: what it is called, what it was and is.',
            parts: self::PARTS,
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [Checking::partExpected($call, 'outcome.reason')],
            isset($call->path[2]) || ! in_array($call->folded[1], self::PARTS, true) => [
                Checking::unknownPart($call, isset($call->path[2]) ? 2 : 1, self::PARTS),
            ],
            default => Checking::takesNothing($call),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return match ($call->folded[1] ?? '') {
            'name' => ValueEstimate::text(
                0,
                max(Limits::NAME, ...array_map(mb_strlen(...), $in->triggers)),
            )->orNothing(),
            'before', 'after' => ValueEstimate::text(0, Limits::READING)->orNothing(),
            'left' => $in->lengths->timeSpan()->orNothing(),
            // Sentences of our own, which name what the command asks for.
            default => ValueEstimate::text(0, self::LONGEST)->orNothing(),
        };
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): null|bool|int|string|Value => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): null|bool|int|string|Value
    {
        $value = $run->scene->outcome[$call->folded[1] ?? ''] ?? null;

        return $value instanceof Message ? $run->world->wording->of($value) : $value;
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
