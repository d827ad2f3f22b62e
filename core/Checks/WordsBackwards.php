<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A row of words whose end stands before its beginning. */
final readonly class WordsBackwards extends AbstractCheck
{
    public function code(): string
    {
        return 'words-backwards';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'Words {from} to {to} are none: they are counted from the first on.';
    }

    public function mend(): string
    {
        return 'Write “words {to} to {from}”.';
    }

    public function reason(): string
    {
        return 'It would always be nothing.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                if ($one instanceof Words && $one->to !== null && $one->to < $one->from) {
                    $findings[] = new Finding(
                        $this,
                        $one->span(),
                        $text->at,
                        ['from' => (string) $one->from, 'to' => (string) $one->to],
                        "words {$one->to} to {$one->from}",
                    );
                }
            }
        }

        return $findings;
    }
}
