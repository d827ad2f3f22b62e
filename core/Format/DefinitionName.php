<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\TextList;

/** What a definition is named and kept under: the id is written where it is not the name. */
final class DefinitionName
{
    public static function id(Document $definition): string
    {
        return $definition->has('id') ? $definition->at('id')->id() : '';
    }

    /** @return array<string, mixed> */
    public static function written(Fact|TextList|Counter|Occasion|Field|Goods $one): array
    {
        return ($one->id === $one->name ? [] : ['id' => $one->id]) + ['name' => $one->name];
    }
}
