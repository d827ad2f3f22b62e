<?php

declare(strict_types=1);

namespace SilverParrot\Response\Reference;

use SilverParrot\Response\Vocabulary\Description;

/** One thing that an author can type into a slot. */
final readonly class ReferenceEntry
{
    /** @param  string  $insert  as it is typed: "counter.planks" */
    public function __construct(
        public string $heading,
        public string $insert,
        public Description $described,
        public bool $hasValue,
    ) {
    }

    public function gives(): string
    {
        return $this->described->tells[$this->part()][0] ?? $this->described->gives;
    }

    public function sentence(): string
    {
        $sentence = $this->described->tells[$this->part()][1] ?? $this->described->sentence;

        return $this->described->later === '' ? $sentence : "$sentence Comes later: {$this->described->later}";
    }

    private function part(): string
    {
        return explode('.', $this->insert)[1] ?? '';
    }
}
