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
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

/** What happened, in the answers to happenings; nothing anywhere else. */
final readonly class HappeningName extends Name
{
    private const TELLS = [
        'amount' => ['a whole number', 'How many: people of a raid, points of a reward.'],
        'months' => ['a whole number', 'For how many months somebody subscribes.'],
        'tier' => ['a whole number', 'The tier of a subscription, 1 to 3.'],
        'text' => ['a text', 'What was written along with it.'],
        'minutes' => ['a whole number', 'How long it lasts, or how long until it comes.'],
    ];

    public function describe(): Description
    {
        return new Description(
            'happening',
            '',
            'what the part is',
            '[happening.amount or "Some"] people come aboard!',
            'What happened, where it has it: in the answers to a raid, a subscription, a reward.',
            parts: array_keys(self::TELLS),
            tells: self::TELLS,
            later: 'nothing is answered yet but lines, so it is nothing.',
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [Checking::partExpected($call, 'happening.amount')],
            isset($call->path[2]) || ! isset(self::TELLS[$call->folded[1]]) => [
                Checking::unknownPart($call, isset($call->path[2]) ? 2 : 1, array_keys(self::TELLS)),
            ],
            default => Checking::takesNothing($call),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $estimate = match ($call->folded[1] ?? '') {
            'tier' => ValueEstimate::whole(new Range(1, 3)),
            'text' => ValueEstimate::text(0, Limits::READING)->typed(),
            default => ValueEstimate::whole(Range::ofACount()),
        };

        return $estimate->orNothing();
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): null|bool|int|string|Value => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): null|bool|int|string|Value
    {
        return $run->scene->happening[$call->folded[1] ?? ''] ?? null;
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
