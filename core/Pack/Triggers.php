<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/**
 * What sets a command off: words with which lines begin, and phrases that stand anywhere in them. A command without a
 * trigger is set off by phrases or by other commands only, and called by a name all the same.
 */
final readonly class Triggers
{
    /** Aliases of one command. */
    public const MOST_ALIASES = 50;

    /** What triggers begin with where their author types none. */
    private const MARK = '!';

    /**
     * @param  string  $word  the one that the command is called by, "!tide", "!tide porth"
     * @param  list<string>  $aliases  others
     * @param  list<Phrase>  $phrases
     * @param  bool  $isNameOnly  whether the word is a name, with which no line is meant to begin
     */
    public function __construct(
        public string $word,
        public array $aliases = [],
        public array $phrases = [],
        public bool $isNameOnly = false,
    ) {
    }

    /** As it was typed, with the usual mark where it begins with a letter or a digit. */
    public static function marked(string $typed): string
    {
        return preg_match('/^[\p{L}\p{N}]/u', $typed) === 1 ? self::MARK.$typed : $typed;
    }

    /** @return list<string> */
    public function all(): array
    {
        return array_values($this->byPlace());
    }

    /** @return array<string, string> by their place in a document: "trigger", "aliases/0" */
    public function byPlace(): array
    {
        $triggers = $this->isNameOnly ? [] : ['trigger' => $this->word];
        foreach ($this->aliases as $place => $alias) {
            $triggers["aliases/$place"] = $alias;
        }

        return $triggers;
    }

    /** @param  list<Phrase>  $phrases */
    public function saidAs(array $phrases): self
    {
        return new self($this->word, $this->aliases, $phrases, $this->isNameOnly);
    }
}
