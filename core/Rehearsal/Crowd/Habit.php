<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

/** One way in which people of a crowd write. */
interface Habit
{
    /** As a crowd document and the fields call it. */
    public static function key(): string;

    /** What whoever has it does: "greets everybody". */
    public static function label(): string;

    /** @return string what somebody writes now; empty where there is nothing to do it with */
    public function line(CrowdTalk $talk, CrowdPerson $by): string;
}
