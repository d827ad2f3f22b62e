<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\User;
use SilverParrot\Memory\Cause;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Turn;

/** The turn in which a change is taken back, and what came of it. */
final readonly class TookBack implements Turn
{
    /** @param  list<Change>  $changes */
    public function __construct(public TakenBack $how, private array $changes, private User $by)
    {
    }

    public function changesToKeep(): array
    {
        return $this->changes;
    }

    public function cause(): Cause
    {
        return Cause::user($this->by->id);
    }

    public function sayingsToQueue(): array
    {
        return [];
    }

    public function effectsToKeep(): array
    {
        return [];
    }
}
