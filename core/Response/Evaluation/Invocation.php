<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Chat\Person;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Source\TextTrimmer;
use SilverParrot\Value\Value;

/** Who said what, as far as a response may speak of it. */
final readonly class Invocation
{
    /**
     * @param  Person|null  $caller  null for what no person set off
     * @param  string  $words  what was typed after the trigger, trimmed; empty when that was blank
     * @param  list<string>  $wordList
     * @param  array<string, null|bool|int|string|Message|Value>  $outcome  what a refusal reply may name
     * @param  array<string, null|bool|int|string|Value>  $happening  what the answer to a happening may name
     */
    private function __construct(
        public ?Person $caller,
        public string $words,
        public array $wordList,
        public string $trigger,
        public string $message,
        public array $outcome,
        public array $happening = [],
    ) {
    }

    public static function of(?Person $caller, string $words = '', string $trigger = '', string $message = ''): self
    {
        $words = Fold::isBlank($words) ? '' : TextTrimmer::withoutSpace($words);

        return new self(
            $caller,
            $words,
            $words === '' ? [] : (preg_split('/[\s\p{Z}]++/u', $words, -1, PREG_SPLIT_NO_EMPTY) ?: []),
            $trigger,
            $message,
            [],
        );
    }

    /** @param  array<string, null|bool|int|string|Message|Value>  $outcome */
    public function withOutcome(array $outcome): self
    {
        return new self(
            $this->caller,
            $this->words,
            $this->wordList,
            $this->trigger,
            $this->message,
            $outcome,
            $this->happening,
        );
    }

    /**
     * @param  array<string, null|bool|int|string|Value>  $happening  by "amount", "months", "tier", "text", "minutes"
     */
    public function withHappening(array $happening): self
    {
        return new self(
            $this->caller,
            $this->words,
            $this->wordList,
            $this->trigger,
            $this->message,
            $this->outcome,
            $happening,
        );
    }
}
