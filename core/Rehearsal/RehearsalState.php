<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

/** How far a rehearsal of a whole evening is. */
enum RehearsalState: string
{
    /** Nobody has begun it yet. */
    case Waiting = 'waiting';

    /** It is heard. */
    case Running = 'running';

    /** Somebody wants it to end; it ends at its next look. */
    case Stopping = 'stopping';

    /** It was heard to its end. */
    case Done = 'done';

    /** Somebody ended it; what it came to until then stands. */
    case Stopped = 'stopped';

    /** Something unforeseen ended it. */
    case Failed = 'failed';

    /** As a list has it. */
    public function label(): string
    {
        return match ($this) {
            self::Waiting => 'waiting',
            self::Running => 'under way',
            self::Stopping => 'stopping',
            self::Done => 'heard',
            self::Stopped => 'stopped',
            self::Failed => 'failed',
        };
    }

    public function isOpen(): bool
    {
        return in_array($this, [self::Waiting, self::Running, self::Stopping], true);
    }
}
