<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A step runs a command that there is not, or one that leads back to this one. */
final readonly class RunsNothing extends AbstractCheck implements OfTimers
{
    public function code(): string
    {
        return 'runs-nothing';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{trigger} runs {other}, and {why}.';
    }

    public function mend(): string
    {
        return 'Let it run another one, or none.';
    }

    public function reason(): string
    {
        return 'It fails each time it comes there.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->responses as $number => $response) {
                foreach ($response->steps as $place => $step) {
                    $runs = $step->runs();
                    $why = $runs === null ? '' : self::why($runs, $command, $at->pack);
                    if ($why !== '') {
                        $findings[] = new Finding($this, null, "/commands/$index/responses/$number/steps/$place", [
                            'trigger' => $command->trigger,
                            'other' => $at->pack->run((string) $runs)->trigger ?? (string) $runs,
                            'why' => $why,
                        ]);
                    }
                }
            }
        }

        foreach ($at->pack->timers as $place => $timer) {
            foreach ($timer->command()->runs() as $runs) {
                if ($at->pack->run($runs) === null) {
                    $findings[] = new Finding($this, null, "/timers/$place", [
                        'trigger' => "The timer {$timer->name}",
                        'other' => $runs,
                        'why' => 'there is no such command',
                    ]);
                }
            }
        }

        return $findings;
    }

    private static function why(string $runs, Command $from, Pack $pack): string
    {
        if ($pack->run($runs) === null) {
            return 'there is no such command';
        }
        $seen = [];
        for ($next = [$runs]; $next !== [];) {
            $command = $pack->run(array_pop($next));
            if ($command === $from) {
                return 'that leads back to it';
            }
            if ($command !== null && ! isset($seen["#{$command->id}"])) {
                $seen["#{$command->id}"] = true;
                array_push($next, ...$command->runs());
            }
        }

        return '';
    }
}
