<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\LongestRun;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Response\Vocabulary\Verbs\Assignable;
use SilverParrot\Response\Vocabulary\Verbs\OccasionCell;
use SilverParrot\Response\Vocabulary\Writable;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

final readonly class OccasionName extends Name implements Remembering, Writable
{
    public function describe(): Description
    {
        return new Description(
            'occasion',
            '',
            'a moment',
            '[since occasion.leak | in days] days dry',
            'A moment that lasts, like the last leak; .longest is the longest time that passed between two.',
            parts: ['longest'],
            also: ['event', 'day'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [
                Checking::partExpected($call, 'occasion.'.(array_key_first($pack->occasions) ?? 'leak')),
            ],
            isset($call->path[3]), isset($call->path[2]) && $call->folded[2] !== 'longest' => [
                Checking::unknownPart($call, 2, ['longest']),
            ],
            ! isset($pack->occasions[$call->folded[1]]) => [
                Checking::unknownPart(
                    $call,
                    1,
                    array_map(static fn (Occasion $one): string => $one->name, array_values($pack->occasions)),
                ),
            ],
            default => Checking::takesNothing($call),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $isSpan = isset($call->path[2]);

        return ($isSpan ? $in->lengths->timeSpan() : $in->lengths->moment())->orNothing();
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): Moment|TimeSpan|Gap|null => $this->value($call, $run);
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function lastParts(): array
    {
        return ['longest'];
    }

    private function value(Call $call, EvaluationContext $run): Moment|TimeSpan|Gap|null
    {
        $occasion = $run->world->pack->occasions[$call->folded[1] ?? ''] ?? null;
        if ($occasion === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        $key = Key::occasion($occasion->id);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        if (isset($call->path[2])) {
            return $run->knows(Key::longestRun($occasion->id))
                ? LongestRun::of($occasion, $run->memory(), $run->world->now)
                : Gap::pending();
        }
        $kept = $run->memory()->value($key);
        $moment = is_string($kept) ? Moment::fromIso($kept) : null;

        return $moment !== null && $occasion->isYearly
            ? $moment->yearly($run->world->now, $run->world->pack->channel->zone)
            : $moment;
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $occasion = $run->world->pack->occasions[$call->folded[1] ?? ''] ?? null;

        return $occasion === null ? [] : array_values(LongestRun::reads($occasion)->keys);
    }

    public function canBeWritten(Call $call, Pack $pack): bool
    {
        return ! isset($call->path[2]);
    }

    public function cell(Call $call, EvaluationContext $run): Assignable|Gap
    {
        $occasion = $run->world->pack->occasions[$call->folded[1] ?? ''] ?? null;
        if ($occasion === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }

        $missing = array_filter(
            LongestRun::reads($occasion)->keys,
            static fn (Key $one): bool => ! $run->knows($one),
        );

        return $missing === [] ? new OccasionCell($occasion, $run) : Gap::pending();
    }

    public function parts(Pack $pack): array
    {
        return array_column($pack->occasions, 'name');
    }

    public function standsAlone(): bool
    {
        return false;
    }

    public function whenNothing(Call $call, Pack $pack): string
    {
        return 'it never was';
    }
}
