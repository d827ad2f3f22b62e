<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** What can go wrong with a source, and can be made to in a rehearsal. */
enum Trouble: string
{
    /** It answers, but too late. */
    case Timeout = 'timeout';

    /** Nobody is there, or whoever is says no. */
    case Refused = 'refused';

    /** A page that says sorry, with status 200. */
    case ErrorPage = 'error_page';

    /** What comes breaks off. */
    case Broken = 'broken';

    /** It answers without the value. */
    case Missing = 'missing';

    case TooLarge = 'too_large';

    /** It is elsewhere now. */
    case Moved = 'moved';

    /** Its address, or the host, was never allowed. */
    case NotAllowed = 'not_allowed';

    /** The host, or the channel, was asked as often as it may be. */
    case OverBudget = 'over_budget';

    /** It failed so often that it is not asked for a while. */
    case LeftAlone = 'left_alone';

    /** A path took longer than there was time for. */
    case PathTooSlow = 'path_too_slow';

    public function reason(): GapReason
    {
        return match ($this) {
            self::Timeout => GapReason::LookupTooLate,
            self::Refused => GapReason::LookupDown,
            self::ErrorPage => GapReason::LookupAnotherFormat,
            self::Broken => GapReason::LookupBroken,
            self::Missing => GapReason::LookupMissing,
            self::TooLarge => GapReason::LookupTooLarge,
            self::Moved => GapReason::LookupMoved,
            self::NotAllowed => GapReason::LookupNotAllowed,
            self::OverBudget => GapReason::LookupOverBudget,
            self::LeftAlone => GapReason::LookupLeftAlone,
            self::PathTooSlow => GapReason::LookupPathTooSlow,
        };
    }

    public function gap(Lookup $lookup): Gap
    {
        return new Gap($this->reason(), [
            'name' => $lookup->name,
            'status' => '',
            'format' => strtoupper($lookup->format->value),
        ]);
    }

    /** @return list<self> those that an author can cause */
    public static function onDemand(): array
    {
        return [
            self::Timeout, self::Refused, self::ErrorPage, self::Broken, self::Missing, self::TooLarge, self::Moved,
        ];
    }
}
