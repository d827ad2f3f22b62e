<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chance\Weighted;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Hearing\Gates\Pending;
use SilverParrot\Hearing\Steps\Perform;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\ListDraw;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Span;

/**
 * Which of a command's responses is given: of those that are for this person and category, one in the command's order.
 */
final readonly class ResponseDraw
{
    /**
     * What one response may have of its own, where the command lets somebody in.
     *
     * @var list<class-string<GateSetting>>
     */
    public const CONDITIONS = [Enabled::class, ForLevels::class, InCategory::class];

    /** Before the ids of commands where it is kept how far their responses are drawn: no list's id has it. */
    private const OF_COMMAND = "\x1E";

    /** @param  PendingChanges  $kept  where it is noted how far was drawn */
    public function __construct(
        private GateContext $context,
        private PendingReads $needed,
        private PendingChanges $kept,
    ) {
    }

    /** @return CommandResponse|GateRefusal a guess while something is needed, so that it can be asked for as well */
    public function response(?Trace $trace): CommandResponse|GateRefusal
    {
        $command = $this->context->command;
        $places = array_keys(array_filter($command->responses, $this->isOpen(...)));
        if (! $this->needed->isEmpty() || $command->responses === []) {
            return $command->responses[$places[0] ?? 0] ?? new CommandResponse([]);
        }
        if ($places === []) {
            return new GateRefusal('replies', 'no-reply');
        }
        $places = $this->closest($this->withWords($places));
        $place = $places[count($places) === 1 ? 0 : $this->drawn($places)];
        if ($this->needed->isEmpty()) {
            $trace?->drew($command, $place);
        }

        return $command->responses[$place];
    }

    /**
     * Where nothing is typed behind the trigger, those that would do something with it make room for those that only
     * show: one trigger shows a title to everybody, and sets it for whoever may and writes one.
     *
     * @param  non-empty-list<int>  $places
     * @return non-empty-list<int>
     */
    private function withWords(array $places): array
    {
        if (count($places) === 1 || ! Fold::isBlank($this->context->scene->words)) {
            return $places;
        }
        $others = array_filter($places, function (int $place): bool {
            foreach ($this->context->command->responses[$place]->steps as $step) {
                if ($step instanceof Perform && $step->takesWords()) {
                    return false;
                }
            }

            return true;
        });

        return $others === [] ? $places : array_values($others);
    }

    /**
     * Those that are for the fewest: what moderators have a reply of their own for, they do not get everybody’s for.
     *
     * @param  non-empty-list<int>  $places
     * @return non-empty-list<int>
     */
    private function closest(array $places): array
    {
        if (count($places) === 1) {
            return $places;
        }
        $closest = [];
        foreach ($places as $place) {
            $levels = $this->context->command->responses[$place]->gates->get(ForLevels::class);
            $closest[$levels->closeness($this->context->person)][] = $place;
        }

        return $closest[max(array_keys($closest))];
    }

    private function isOpen(CommandResponse $response): bool
    {
        // As usual, it is for everybody at any time.
        if ($response->gates->given() === []) {
            return true;
        }
        foreach (GateSettings::gates($response->gates->lookingAt(...self::CONDITIONS)) as $gate) {
            $stands = $gate->stand($this->context);
            if ($stands instanceof Pending) {
                $stands->noteIn($this->needed);
            } elseif ($stands instanceof GateRefusal) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  non-empty-list<int>  $places
     * @return int which of them
     */
    private function drawn(array $places): int
    {
        $command = $this->context->command;
        $responses = array_map(static fn (int $place): CommandResponse => $command->responses[$place], $places);
        $world = $this->context->world;
        if ($command->order === DrawOrder::Free) {
            return Weighted::place(
                array_map(static fn (CommandResponse $one): int => $one->weight, $responses),
                $world->chance->at("{$command->id}#response"),
            );
        }
        $list = new TextList(
            $command->trigger,
            array_map(
                static fn (CommandResponse $one): WeightedText => new WeightedText($one->id, $one->weight, $one->id),
                $responses,
            ),
            $command->order,
            self::OF_COMMAND.$command->id,
        );
        $run = new EvaluationContext($world, $this->context->scene, "{$command->id}#response", $this->needed);
        $run->changed = $this->kept;
        $place = ListDraw::place($list, new Span(0, 0), $run);

        return is_int($place) ? $place : 0;
    }
}
