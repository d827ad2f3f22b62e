<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Response;
use SilverParrot\Response\Vocabulary;
use SilverParrot\Source\Finding;

/** Every response of every command can be read, and every name in it is there. Silent where all is. */
final class ResponsesReadable implements Check
{
    public function look(Pack $pack): array
    {
        $findings = [];
        $vocabulary = new Vocabulary;
        foreach ($pack->commands as $index => $command) {
            array_push($findings, ...self::in($command, $index, $pack, $vocabulary));
        }

        return $findings;
    }

    /**
     * @param  int  $index  the command's place in the pack
     * @return list<Finding>
     */
    public static function in(Command $command, int $index, Pack $pack, Vocabulary $vocabulary = new Vocabulary): array
    {
        $findings = [];
        foreach ($command->sources() as $place => $source) {
            foreach (Response::of($source, $vocabulary)->findings($pack) as $finding) {
                $findings[] = $finding->within("/commands/$index/$place");
            }
        }

        return $findings;
    }
}
