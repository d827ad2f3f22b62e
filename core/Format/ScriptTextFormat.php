<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Script;

/** {"id": "tide", "title": "The tide", "text": "…"}, where the text is a script (docs/formats/script.schema.json). */
final class ScriptTextFormat
{
    public static function read(Document $script): Script
    {
        $script->object(['id', 'title', 'text'], ['id', 'title', 'text']);

        return new Script(
            $script->at('id')->id(),
            $script->at('title')->text(Script::LONGEST_TITLE),
            $script->at('text')->text(Script::LONGEST),
        );
    }

    /** @return array{id: string, title: string, text: string} */
    public static function write(Script $script): array
    {
        return ['id' => $script->id, 'title' => $script->title, 'text' => $script->text];
    }
}
