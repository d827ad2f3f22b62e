<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Outcome;

/** What the preview shows. */
final readonly class PreviewResult
{
    /**
     * @param  array<string, Outcome>  $edges  by what is at the edge: "without words"
     * @param  array<string, list<array<string, string|null>>>  $findings  by the text's place in the command:
     *     "responses/0/text"
     * @param  Length|null  $length  null where the response cannot be read
     * @param  string  $sentence  what the command is, in one
     * @param  list<array{string, Outcome}>  $all  every reply and branch, where that was asked
     */
    public function __construct(
        public Person $caller,
        public Outcome $outcome,
        public array $edges,
        public array $findings,
        public ?Length $length,
        public string $sentence,
        public array $all = [],
    ) {
    }

    /** @return array<string, Outcome> edges at which something else comes of it */
    public function otherEdges(): array
    {
        return array_filter($this->edges, fn (Outcome $outcome): bool => ! $this->isSame($outcome));
    }

    /** @return list<string> edges at which it makes no difference */
    public function sameEdges(): array
    {
        return array_keys(array_filter($this->edges, $this->isSame(...)));
    }

    private function isSame(Outcome $outcome): bool
    {
        return $outcome->texts() === $this->outcome->texts()
            && $outcome->failed?->message() == $this->outcome->failed?->message();
    }
}
