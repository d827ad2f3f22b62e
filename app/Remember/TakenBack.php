<?php

declare(strict_types=1);

namespace App\Remember;

/** What came of taking a change of memory back. */
enum TakenBack
{
    /** Undone. */
    case Restored;

    /** What was added then is out again, and what was added later stays. */
    case TakenOut;

    /** Something was set later, or too little is left to take it out. */
    case ChangedSince;

    case Before;

    case NotThere;
}
