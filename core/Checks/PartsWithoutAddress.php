<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Addresses;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A fact with extra parts that is no address, or no address alone. */
final readonly class PartsWithoutAddress extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'parts-without-address';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{name} has extra parts and is no address.';
    }

    public function mend(): string
    {
        return 'Make it a whole address and nothing else, like https://cove.example/map, or take the parts out.';
    }

    public function reason(): string
    {
        return 'What is added to an address means nothing behind another text.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach (array_values($at->pack->facts) as $index => $fact) {
            if ($fact->parts !== [] && ($fact->isResponse || Addresses::in($fact->text) !== [[0, $fact->text]])) {
                $findings[] = new Finding($this, null, "/facts/$index/parts", ['name' => "fact.{$fact->name}"]);
            }
        }

        return $findings;
    }
}
