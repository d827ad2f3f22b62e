<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Response;
use SilverParrot\Response\Vocabulary;
use SilverParrot\Value\Moment;

/** What checks look at: a pack, its responses read once for all of them, and the day on which they are looked at. */
final readonly class Looked
{
    /**
     * @param  list<ReadText>  $texts
     * @param  Moment|null  $now  null where nobody says what day it is: then nothing is past
     */
    private function __construct(public Pack $pack, public array $texts, public ?Moment $now)
    {
    }

    public static function at(Pack $pack, ?Moment $now, Vocabulary $vocabulary = new Vocabulary): self
    {
        $texts = [];
        foreach ($pack->commands as $index => $command) {
            array_push($texts, ...self::textsOf($command, $index, $vocabulary));
        }

        return new self($pack, $texts, $now);
    }

    /** @return list<ReadText> */
    private static function textsOf(Command $command, int $index, Vocabulary $vocabulary): array
    {
        $texts = [];
        foreach ($command->sources() as $place => $source) {
            $texts[] = new ReadText($command, "/commands/$index/$place", $place, Response::of($source, $vocabulary));
        }

        return $texts;
    }
}
