<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\LookupQuestion;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\World;

/** What look-ups are asked of the parrot's own accord, with each parameter as it is where nobody says anything. */
final readonly class UnpromptedQuestions
{
    public function __construct(private ResponseCache $prepared = new ResponseCache)
    {
    }

    /** Numbers that a stream is counted from; what cannot be had now is not noted for this stream. */
    public function note(World $world): Outcome|Needs
    {
        $needed = new PendingReads;
        $run = $this->run($world, $needed);
        $changes = [];
        foreach (NotedNumbers::readings($world->pack) as [$lookup, $reading]) {
            $key = NotedNumbers::ofReading($lookup, $reading->name);
            $question = LookupQuestion::unprompted($lookup, $reading->name, $run);
            $number = $question instanceof Gap ? $question : $run->read($question);
            $kept = is_int($number) || $number instanceof Number ? NotedNumbers::kept($number) : null;
            if ($run->knows($key) && $kept !== null) {
                $changes[] = NotedNumbers::change($key, $kept, $run->memory());
            }
        }

        return $needed->isEmpty() ? new Outcome(changes: $changes) : Needs::of($needed);
    }

    /** @return Request|Gap what one look-up is asked; a pending gap where that has to be asked for first */
    public function of(Lookup $lookup, World $world, PendingReads $needed): Request|Gap
    {
        return LookupQuestion::unprompted(
            $lookup,
            array_values($lookup->readings)[0]->name ?? '',
            $this->run($world, $needed),
        );
    }

    private function run(World $world, PendingReads $needed): EvaluationContext
    {
        return new EvaluationContext(
            $world,
            Invocation::of(null),
            'nobody',
            $needed,
            own: new OwnResponses($this->prepared),
        );
    }
}
