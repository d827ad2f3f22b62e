<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Triggers;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\ResponseCache;
use SilverParrot\World;

/** What is said of those whose rank is another by now. */
final readonly class RankSayings
{
    public function __construct(private ResponseCache $prepared)
    {
    }

    /** @return list<Saying>|null null while something is needed */
    public function changed(Stage $stage, PendingChanges $kept): ?array
    {
        $changes = RankChanges::in($kept->changes(), $stage->world->pack);
        $unknown = array_filter(
            $changes->reads(),
            static fn (Key $key): bool => ! $stage->world->memory->knows($key),
        );
        if ($unknown !== []) {
            array_map($stage->needed->key(...), $unknown);

            return null;
        }
        $said = [];
        foreach ($changes->told($stage->world->memory) as $change) {
            $sayings = $this->of($change, $stage->event, $stage->world, $stage->needed, $kept, $stage->trace);
            if ($sayings === null) {
                return null;
            }
            array_push($said, ...$sayings);
        }

        return $said;
    }

    public function reached(RankReached $event, World $world, ?Trace $trace): Outcome|Needs
    {
        $needed = new PendingReads;
        $kept = new PendingChanges($world->memory);
        $sayings = $this->of($event->change, $event, $world, $needed, $kept, $trace);

        return $sayings === null
            ? Needs::of($needed)
            : new Outcome(null, $sayings, $kept->changes(), trace: $trace, by: $event->person());
    }

    /**
     * What is said of a rank is said by nobody's command, and never keeps one from its answer. It changes nothing of
     * its own accord; how far it drew lists is kept.
     *
     * @return list<Saying>|null null while something is not fetched yet
     */
    private function of(
        RankChange $change,
        Event $event,
        World $world,
        PendingReads $needed,
        PendingChanges $kept,
        ?Trace $trace,
    ): ?array {
        if ($this->prepared->response($change->text())->changedPlaces() !== []) {
            return [];
        }
        $scene = Invocation::of($change->person)->withOutcome([
            'name' => $change->ladder->field,
            'before' => $change->before,
            'after' => $change->after,
        ]);
        $command = new Command(new Triggers("ranks {$change->ladder->id}"));
        $stage = new Stage(
            $command,
            $event,
            $scene,
            $world,
            new PendingChanges($kept),
            $needed,
            $trace,
            $this->prepared,
            "{$command->id}/{$change->person->id}",
        );
        $ran = $stage->say($change->text());
        if ($ran === null || ! $needed->isEmpty()) {
            return null;
        }
        if ($ran instanceof EvaluationFailure) {
            $trace?->failed($ran);

            return [];
        }
        $kept->take($stage->changes);

        return $ran->sayings;
    }
}
