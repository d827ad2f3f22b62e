<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Prepared;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Lengths;

/** What checks look at: a pack, its responses read once for all of them, and what is around it. */
final readonly class Looked
{
    /**
     * @param  list<ReadText>  $texts
     */
    private function __construct(public Pack $pack, public array $texts, public Surroundings $around)
    {
    }

    public static function at(Pack $pack, Surroundings $around, Prepared $prepared = new Prepared): self
    {
        $texts = [];
        $lengths = Lengths::of($pack->channel);
        foreach ($pack->commands as $index => $command) {
            foreach ($command->sources() as $place => $source) {
                $response = $prepared->response($source);
                $texts[] = new ReadText($command, "/commands/$index/$place", $place, $response, Forecast::of($response, $pack, $around->profile, $command->triggers->all(), $lengths));
            }
        }

        return new self($pack, $texts, $around);
    }
}
