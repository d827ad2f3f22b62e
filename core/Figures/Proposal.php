<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Pack\Pack;

/** A longer cooldown that an evening suggests, and the pack with it, to be tried by hearing the evening again. */
final readonly class Proposal
{
    /**
     * @param  string  $lane  of what answered too often, by its key
     * @param  int  $seconds  between two answers to anybody
     * @param  int  $share  percent of what the parrot said
     */
    public function __construct(
        public string $lane,
        public string $name,
        public string $command,
        public int $seconds,
        public int $share,
        public Pack $pack,
    ) {
    }

    /**
     * What it would have changed.
     *
     * @return array{lane: string, name: string, command: string, seconds: int, share: int, before: int, after: int,
     *     waited: int, longest: int, said_before: int, said_after: int} longest wait in seconds
     */
    public function tried(Evening $before, Evening $after): array
    {
        $held = [];
        $longest = 0;
        $waiting = null;
        foreach ($after->marks as $mark) {
            if ($mark->lane !== $this->lane) {
                continue;
            }
            if ($mark->kind === MarkKind::HeldBack) {
                $held[$mark->by] = true;
                $waiting ??= $mark->millis;
            } elseif ($mark->kind === MarkKind::Said && $waiting !== null) {
                // Whoever asks right after an answer waits longest, and never longer than the cooldown.
                $longest = max($longest, min($mark->millis - $waiting, $this->seconds * 1000));
                $waiting = null;
            }
        }

        return [
            'lane' => $this->lane,
            'name' => $this->name,
            'command' => $this->command,
            'seconds' => $this->seconds,
            'share' => $this->share,
            'before' => $before->lanes[$this->lane]->answered ?? 0,
            'after' => $after->lanes[$this->lane]->answered ?? 0,
            'waited' => count($held),
            'longest' => intdiv($longest + 999, 1000),
            'said_before' => $before->said,
            'said_after' => $after->said,
        ];
    }
}
