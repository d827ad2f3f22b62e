<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Occasion;

/** {"name": "launch", "coming": true} */
final class OccasionFormat
{
    public static function read(Document $occasion): Occasion
    {
        return new Occasion(
            $occasion->object(['id', 'name', 'coming', 'yearly'], ['name'])->at('name')->name(),
            DefinitionName::id($occasion),
            $occasion->has('coming') && $occasion->at('coming')->flag(),
            $occasion->has('yearly') && $occasion->at('yearly')->flag(),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Occasion $occasion): array
    {
        return DefinitionName::written($occasion)
            + ($occasion->isComing ? ['coming' => true] : [])
            + ($occasion->isYearly ? ['yearly' => true] : []);
    }
}
