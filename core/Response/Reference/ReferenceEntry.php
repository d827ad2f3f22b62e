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

    /** @return list<string> other plain words by which one would look for it */
    public function also(): array
    {
        // Those of a name are no words for each of its parts, but a pack's own counters are all counters.
        $isWhole = $this->described->tells === [] || $this->part() === '';

        return [...$isWhole ? $this->described->also : [], ...PlainWords::for($this->insert)];
    }

    private function part(): string
    {
        return explode('.', $this->insert)[1] ?? '';
    }
}
