<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A field whose start does not fit its type. */
final readonly class StartDoesNotFit extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'start-does-not-fit';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'The field {name} begins with “{start}”, which is no {type}.';
    }

    public function mend(): string
    {
        return 'Give it a start that fits, or none.';
    }

    public function reason(): string
    {
        return 'Whoever was never asked would have nothing that can be used.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach (array_values($at->pack->fields) as $index => $field) {
            if ($field->start !== null && ! FieldRecord::fits($field, $field->start)) {
                $findings[] = new Finding($this, null, "/fields/$index/start", [
                    'name' => $field->name,
                    'start' => $field->start,
                    'type' => FieldRecord::typeOf($field),
                ]);
            }
        }

        return $findings;
    }
}
