<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Trace\ChangePresenter;
use SilverParrot\Source\Wording;

/** An outcome as reports and the command line write it. */
final class Answer
{
    /**
     * @return array{said: list<string>, closed: array{gate: string, sentence: string}|null, failed: array{code: string,
     *     sentence: string}|null, changes: list<array{what: string, scope: string, from: string, to: string}>}
     */
    public static function of(Outcome $outcome, Wording $wording): array
    {
        return [
            'said' => $outcome->texts(),
            'closed' => $outcome->closed === null
                    ? null
                    : ['gate' => $outcome->closed->gate, 'sentence' => $wording->of($outcome->closed->reason)],
            'failed' => $outcome->failed === null
                    ? null
                    : ['code' => $outcome->failed->reason, 'sentence' => $wording->of($outcome->failed->message())],
            'changes' => array_map(ChangePresenter::change(...), $outcome->authoredChanges()),
        ];
    }
}
