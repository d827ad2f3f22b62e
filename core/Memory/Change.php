<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** One thing remembered otherwise than before. */
final readonly class Change
{
    /**
     * @param  null|bool|int|string|array<string, mixed>  $from
     * @param  null|bool|int|string|array<string, mixed>  $to  null forgets the key
     * @param  string  $what  as an author names it, "counter.planks"
     * @param  string  $scope  "channel", a category's name, or a person's login
     * @param  int|null  $added  how much more it is, where a whole number was added to or taken from; null for what was
     *     set or cleared
     * @param  bool  $isForPresence  whether it was earned by being here: that stands in the ledger once a stream, and
     *     in no history
     */
    public function __construct(
        public Key $key,
        public null|bool|int|string|array $from,
        public null|bool|int|string|array $to,
        public string $what,
        public string $scope,
        public ?int $added = null,
        public bool $isForPresence = false,
    ) {
    }

    /** The same of somebody else. */
    public function of(Owner $owner): self
    {
        return new self(
            $this->key->ownedBy($owner),
            $this->from,
            $this->to,
            $this->what,
            $this->scope,
            $this->added,
            $this->isForPresence,
        );
    }

    public function changesNothing(): bool
    {
        return $this->from === $this->to;
    }

    /** Both of one key, as one: what was set in either is set. */
    public function then(self $later): self
    {
        return new self(
            $later->key,
            $this->from,
            $later->to,
            $later->what,
            $later->scope,
            $this->added === null || $later->added === null ? null : $this->added + $later->added,
            $this->isForPresence && $later->isForPresence,
        );
    }

    /** Whether an author would call it a change of memory; the rest is the parrot's own bookkeeping. */
    public function isAuthored(): bool
    {
        return $this->key->kind->isAuthored()
            && $this->key->owner->kind !== OwnerKind::Total
            && ! $this->isForPresence;
    }
}
