<?php

declare(strict_types=1);

namespace App\Rehearse;

use SilverParrot\Hearing\Timers\TimerStand;
use SilverParrot\Hearing\Trace\ChangePresenter;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\Heard;

/** The simulated chat with what was said to each line. */
final readonly class TriedChat
{
    /**
     * @param  list<Heard>  $heard
     * @param  list<CastMember>  $cast
     * @param  array<string, null|bool|int|string>  $channel  details of the channel in it: "live", "category"
     * @param  list<array{Timer, TimerStand}>  $timers  how it stands with each that is switched on
     */
    public function __construct(
        public TryState $state,
        public array $heard,
        public array $cast,
        public array $channel,
        public array $timers = [],
    ) {
    }

    /** @return list<array{what: string, scope: string, from: string, to: string}> of all lines together */
    public function changes(): array
    {
        $changes = [];
        foreach ($this->heard as $one) {
            foreach ($one->outcome->authoredChanges() as $change) {
                $told = ChangePresenter::change($change);
                $changes[$change->key->id()] = ['to' => $told['to']] + ($changes[$change->key->id()] ?? $told);
            }
        }

        return array_values($changes);
    }

    /** Whose line comes next, unless the author chooses somebody else. */
    public function speaker(): string
    {
        return $this->state->speaker !== '' ? $this->state->speaker : (CastMember::lowest($this->cast)->login ?? '');
    }
}
