<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Source\Fold;

/** A recorded answer of a look-up, or a trouble, for some values of its parameters. */
final readonly class CannedAnswer
{
    /**
     * @param  array<string, string>  $for  by folded name of the parameter; what is not named may be anything
     * @param  int  $slow  seconds that it takes
     * @param  ReadAnswer|null  $read  where its readings were taken out of it already
     */
    public function __construct(
        public array $for,
        public Answer|Trouble $answer,
        public string $name = '',
        public int $slow = 0,
        public ?ReadAnswer $read = null,
    ) {
    }

    public function read(ReadAnswer $read): self
    {
        return new self($this->for, $this->answer, $this->name, $this->slow, $read);
    }

    /** @param  int  $seconds  that it takes at least */
    public function slowBy(int $seconds): self
    {
        return new self($this->for, $this->answer, $this->name, max($this->slow, $seconds), $this->read);
    }

    /** @param  array<string, string>  $arguments  by name */
    public function isFor(array $arguments): bool
    {
        $folded = [];
        foreach ($arguments as $name => $value) {
            $folded[Fold::caseless($name)] = Fold::caseless($value);
        }
        foreach ($this->for as $name => $value) {
            if (($folded[$name] ?? '') !== Fold::caseless($value)) {
                return false;
            }
        }

        return true;
    }
}
