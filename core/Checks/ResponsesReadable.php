<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

/** Every response of every command can be read, and every name in it is there. Silent where all is. */
final readonly class ResponsesReadable implements Check
{
    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->response->findings($at->pack) as $finding) {
                $findings[] = $finding->within($text->at);
            }
        }

        return $findings;
    }
}
