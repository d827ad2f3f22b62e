<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Web\RecordedAnswer;

/** One canned result as the screen shows it, with its readings. */
final readonly class CannedLine
{
    /** @param  list<ReadingShown>  $values  in the order of the look-up's readings */
    public function __construct(public RecordedAnswer $recorded, public bool $isUsed, public array $values)
    {
    }

    /** What it is for, in words; empty for whatever is asked. */
    public function for(): string
    {
        $for = $this->recorded->canned->for;

        return count($for) === 1
            ? (string) current($for)
            : implode(', ', array_map(
                static fn (string $name, string $value): string => "$name=$value",
                array_keys($for),
                $for,
            ));
    }
}
