<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

use SilverParrot\Pack\Pack;
use WeakMap;

/** Each pack's phrases, made ready once and kept as long as the pack is. */
final class PhraseIndexes
{
    /** @var WeakMap<Pack, PhraseIndex> */
    private WeakMap $indexes;

    public function __construct()
    {
        /** @var WeakMap<Pack, PhraseIndex> $none */
        $none = new WeakMap;
        $this->indexes = $none;
    }

    public function of(Pack $pack): PhraseIndex
    {
        return $this->indexes[$pack] ??= PhraseIndex::of($pack);
    }
}
