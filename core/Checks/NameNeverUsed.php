<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A name given with “as” that the rest of the response does not use. Silent where any branch uses it. */
final readonly class NameNeverUsed extends AbstractCheck
{
    public function code(): string
    {
        return 'name-never-used';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return '“{name}” is given a value here and never used.';
    }

    public function mend(): string
    {
        return 'Use it further on, or leave “as {name}” out.';
    }

    public function reason(): string
    {
        return 'A name that nothing uses is most often a slip in the other place.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $used = [];
            foreach (Part::expressions($text->response->parts) as $one) {
                if ($one instanceof Variable) {
                    $used[$one->name] = true;
                }
            }
            foreach (Part::all($text->response->parts) as $part) {
                if ($part instanceof Slot && $part->as !== '' && ! isset($used[$part->as])) {
                    $findings[] = new Finding($this, $part->span, $text->at, ['name' => $part->as]);
                }
            }
        }

        return $findings;
    }
}
