<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** In which place and voice it is said. */
final readonly class Where implements Expects
{
    public function __construct(public ?Place $place = null, public ?Voice $voice = null)
    {
    }

    public static function key(): string
    {
        return 'where';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        $at->object(['place', 'voice']);

        return new self(
            $at->has('place') ? $at->at('place')->oneOf(Place::class) : null,
            $at->has('voice') ? $at->at('voice')->oneOf(Voice::class) : null,
        );
    }

    /** @return array<string, string> */
    public function write(): array
    {
        return array_filter(['place' => $this->place?->value, 'voice' => $this->voice?->value]);
    }

    public function unmet(Seen $seen): ?Message
    {
        foreach ($seen->sayings() as $saying) {
            if (
                ($this->place !== null && $saying->place !== $this->place)
                || ($this->voice !== null && $saying->voice !== $this->voice)
            ) {
                return new Message('expectations.elsewhere', [
                    'place' => $saying->place->value,
                    'voice' => $saying->voice->value,
                ]);
            }
        }

        return $seen->sayings() === [] ? new Message('expectations.says-nothing') : null;
    }
}
