<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** Somebody who is in the cast twice, or whose record does not fit the field that it is of. */
final readonly class CastDoesNotFit extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'cast-does-not-fit';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{who} {why}.';
    }

    public function mend(): string
    {
        return 'Change the cast.';
    }

    public function reason(): string
    {
        return 'A rehearsal with them shows what cannot be.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $seen = [];
        foreach ($at->pack->cast as $index => $member) {
            $login = Fold::caseless($member->login);
            if (isset($seen[$login])) {
                $findings[] = new Finding($this, null, "/cast/$index", [
                    'who' => $member->login,
                    'why' => 'is in the cast twice',
                ]);
            }
            $seen[$login] = true;
            foreach ($member->record as $name => $value) {
                $field = $at->pack->fields[Fold::caseless((string) $name)] ?? null;
                if ($field !== null && ! FieldRecord::fits($field, (string) $value)) {
                    $findings[] = new Finding($this, null, "/cast/$index", [
                        'who' => $member->login,
                        'why' => "has “{$value}” for {$field->name}, which is no ".FieldRecord::typeOf($field),
                    ]);
                }
            }
        }

        return $findings;
    }
}
