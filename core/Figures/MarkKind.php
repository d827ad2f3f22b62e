<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

/** What came of something that a pack heard. */
enum MarkKind: string
{
    /** Something was said. */
    case Said = 'said';

    /** A gate was closed. */
    case HeldBack = 'held_back';

    /** It failed, or was refused. */
    case Failed = 'failed';

    /** It ran, and there was nothing to say. */
    case Nothing = 'nothing';

    /** Something happened in the channel. */
    case Happened = 'happened';

    public function label(): string
    {
        return match ($this) {
            self::Said => 'said',
            self::HeldBack => 'held back',
            self::Failed => 'failed',
            self::Nothing => 'nothing to say',
            self::Happened => 'happened',
        };
    }
}
