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
use SilverParrot\Source\Fold;
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
            'A text that is kept in one place and used in many responses. An address may have extra parts, named '
                .'behind it: fact.shop.chat.',
            also: ['text', 'note', 'variable'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return match (true) {
            ! isset($call->path[1]) => [
                Checking::partExpected($call, 'fact.'.(array_key_first($pack->facts) ?? 'workshop')),
            ],
            ! isset($pack->facts[$call->folded[1]]) => [
                Checking::unknownPart(
                    $call,
                    1,
                    array_map(static fn (Fact $fact): string => $fact->name, array_values($pack->facts)),
                ),
            ],
            self::unknown($call, $pack) !== null => [
                Checking::unknownPart(
                    $call,
                    self::unknown($call, $pack) ?? 2,
                    array_map(strval(...), array_keys($pack->facts[$call->folded[1]]->parts)),
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
            default => ValueEstimate::written(self::text($fact, $call) ?? ''),
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

        return $fact->isResponse && ! isset($call->path[2])
            ? $run->own->say($fact->text, "fact.{$fact->name}", $run)
            : self::text($fact, $call) ?? new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
    }

    /** @return string|null null where it has no such part */
    private static function text(Fact $fact, Call $call): ?string
    {
        $parts = array_slice($call->folded, 2);

        return $parts === [] ? $fact->text : $fact->with($parts);
    }

    /** @return int|null the first place of the path that is no part of the fact */
    private static function unknown(Call $call, Pack $pack): ?int
    {
        $parts = array_map(Fold::caseless(...), array_keys($pack->facts[$call->folded[1]]->parts));
        foreach (array_slice($call->folded, 2, null, true) as $at => $part) {
            if (! in_array($part, $parts, true)) {
                return $at;
            }
        }

        return null;
    }

    /** More than one extra part may be added to an address. */
    public function longestPath(): int
    {
        return 6;
    }

    public function saysOwnText(): bool
    {
        return true;
    }

    public function parts(Pack $pack): array
    {
        $parts = [];
        foreach ($pack->facts as $fact) {
            $parts[] = $fact->name;
            foreach (array_keys($fact->parts) as $part) {
                $parts[] = "{$fact->name}.$part";
            }
        }

        return $parts;
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
