<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Many;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;

/** `commands`, `commands for caller` */
final readonly class CommandsName extends Name
{
    public function describe(): Description
    {
        return new Description(
            'commands',
            'for a person',
            'a list',
            'You may use [commands for caller].',
            'The triggers of all commands that are switched on and may be listed; for a person, those that this person '
                .'may use.',
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        if (isset($call->path[1])) {
            return [Checking::unknownPart($call, 1, [])];
        }

        return $call->operands === [] && $call->named === [] ? [] : Checking::takesNothing($call);
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $shown = array_values(
            array_filter($in->pack->commands, static fn (Command $one): bool => $one->isOn() && $one->about->listed),
        );
        $triggers = ValueEstimate::oneOf(...array_map(static fn (Command $one): string => $one->trigger, $shown));

        return ValueEstimate::items(Many::of($triggers, count($shown)), $in->lengths->joint())->orGap(
            ...$call->for === null ? [] : $in->value($call->for)->gaps,
        );
    }

    public function longestPath(): int
    {
        return 1;
    }

    public function prepared(Call $call): Closure
    {
        $for = $call->for?->prepared();

        return static function (EvaluationContext $run) use ($for): ListValue|Gap|null {
            $person = $for === null ? null : $for($run);
            if ($for !== null && ! $person instanceof Person) {
                return $person === null || $person instanceof Gap
                    ? $person
                    : new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'a person']);
            }
            $may = array_filter(
                $run->world->pack->commands,
                static fn (Command $command): bool => $command->isOn()
                    && $command->about->listed
                    && (! $person instanceof Person || $command->isFor($person)),
            );

            return new ListValue(
                array_values(array_map(static fn (Command $command): string => $command->trigger, $may)),
            );
        };
    }

    public function saysOwnText(): bool
    {
        return true;
    }
}
