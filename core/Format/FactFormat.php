<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\ExtraParts;
use SilverParrot\Pack\Fact;

/** {"name": "map", "text": "https://…", "parts": {"chat": "from=chat"}} */
final class FactFormat
{
    public static function read(Document $fact): Fact
    {
        $fact->object(['id', 'name', 'text', 'response', 'parts'], ['name', 'text']);

        return new Fact(
            $fact->at('name')->name(),
            $fact->at('text')->text(),
            DefinitionName::id($fact),
            $fact->has('response') && $fact->at('response')->flag(),
            $fact->has('parts') ? array_map(self::part(...), $fact->at('parts')->entriesOfNames()) : [],
        );
    }

    /** @return array<string, mixed> */
    public static function write(Fact $fact): array
    {
        return DefinitionName::written($fact) + ['text' => $fact->text]
            + ($fact->isResponse ? ['response' => true] : [])
            + ($fact->parts === [] ? [] : ['parts' => $fact->parts]);
    }

    private static function part(Document $part): string
    {
        $text = $part->text(ExtraParts::LONGEST);
        if ($part->isText() && preg_match(ExtraParts::PATTERN, $text) !== 1) {
            $part->flaw(DocumentError::NotAnAddressPart, ['value' => $text]);
        }

        return $text;
    }
}
