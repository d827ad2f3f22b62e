<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Memory\Key;
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

final readonly class OccasionName extends Name implements Remembering, Writable
{
    public function describe(): Description
    {
        return new Description(
            'occasion',
            '',
            'a moment',
            '[since occasion.leak | in days] days dry',
            'A moment that lasts, like the last leak.',
            also: ['event', 'day'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [
                Checking::partExpected($call, 'occasion.'.(array_key_first($pack->occasions) ?? 'leak')),
            ],
            ! isset($pack->occasions[$call->folded[1]]) || isset($call->path[2]) => [
                Checking::unknownPart(
                    $call,
                    isset($call->path[2]) ? 2 : 1,
                    array_map(static fn (Occasion $one): string => $one->name, array_values($pack->occasions)),
                ),
            ],
            default => Checking::takesNothing($call),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return $in->lengths->moment()->orNothing();
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): Moment|Gap|null => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): Moment|Gap|null
    {
        $occasion = $run->world->pack->occasions[$call->folded[1] ?? ''] ?? null;
        if ($occasion === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        $key = Key::occasion($occasion->id);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $kept = $run->memory()->value($key);

        return is_string($kept) ? Moment::fromIso($kept) : null;
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $occasion = $run->world->pack->occasions[$call->folded[1] ?? ''] ?? null;

        return $occasion === null ? [] : [Key::occasion($occasion->id)];
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

        return $run->knows(Key::occasion($occasion->id)) ? new OccasionCell($occasion, $run) : Gap::pending();
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
