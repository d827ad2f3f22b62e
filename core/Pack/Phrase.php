<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** Words that set a command off wherever they stand in a line, one behind the other. */
final readonly class Phrase
{
    /** Of one command. */
    public const MOST = 50;

    /** Characters of one. */
    public const LONGEST = 200;

    /** Places that one may have among others. */
    public const PLACES = 999;

    /** Lines that it must set off, and must not, of each. */
    public const LINES = 50;

    /**
     * @param  string  $text  as its author wrote it: "when .. (glue/paint) .. dry"
     * @param  bool  $isTolerant  whether a long word may have one wrong letter
     * @param  int  $cooldown  seconds before it sets the command off again, besides the command’s own; 0 for none
     * @param  list<string>  $must  lines in which it is to be found
     * @param  list<string>  $mustNot  lines in which it is not
     * @param  bool  $isAlso  whether it sets its command off also where another phrase has set off another
     * @param  bool  $isOn  whether it sets the command off at all
     * @param  int  $place  among those with as many words that stand in the same line, 1 first; 0 behind all that
     *     have one
     */
    public function __construct(
        public string $text,
        public bool $isTolerant = false,
        public int $cooldown = 0,
        public array $must = [],
        public array $mustNot = [],
        public bool $isAlso = false,
        public bool $isOn = true,
        public int $place = 0,
    ) {
    }

    public function switched(bool $isOn): self
    {
        return $this->with(['isOn' => $isOn]);
    }

    /** @param  int  $place  among those with as many words; 0 behind all that have one */
    public function placed(int $place): self
    {
        return $this->with(['place' => $place]);
    }

    public function written(string $text): self
    {
        return $this->with(['text' => $text]);
    }

    /** @param  array{text?: string, isOn?: bool, place?: int}  $changed */
    private function with(array $changed): self
    {
        return new self(
            $changed['text'] ?? $this->text,
            $this->isTolerant,
            $this->cooldown,
            $this->must,
            $this->mustNot,
            $this->isAlso,
            $changed['isOn'] ?? $this->isOn,
            $changed['place'] ?? $this->place,
        );
    }
}
