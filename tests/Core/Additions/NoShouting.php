<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

final readonly class NoShouting extends AbstractCheck
{
    public function code(): string
    {
        return 'no-shouting';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return '{trigger} shouts.';
    }

    public function mend(): string
    {
        return 'Say it quietly.';
    }

    public function reason(): string
    {
        return 'Nobody likes it.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            if (str_contains($command->responses[0]->text(), '!!')) {
                $findings[] = new Finding($this, null, "/commands/$index/responses", ['trigger' => $command->trigger]);
            }
        }

        return $findings;
    }
}
