<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Air\LogEntry;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** A line that a tried chat begins with, as it was heard: on the air, or in a rehearsal. */
final readonly class TakenLine
{
    /**
     * @param  int  $number  of the line on the air; below 0, of a moment of a rehearsal
     * @param  string  $key  what its luck hangs on, with the seed
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  what it found, by key id
     * @param  array<string, null|bool|int|string>  $readings  what it was told, by request id
     */
    public function __construct(
        public int $number,
        public Person $by,
        public string $text,
        public Moment $at,
        public string $key,
        public string $seed,
        public bool $isWhisper,
        public array $memory,
        public array $readings,
    ) {
    }

    public static function ofLog(LogEntry $line, string $seed): self
    {
        return new self(
            $line->number,
            $line->by,
            $line->text,
            $line->at,
            $line->key,
            $seed,
            $line->line()->isWhisper,
            $line->memory,
            $line->readings,
        );
    }
}
