<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** One of the responses that a command draws from: its steps, one after another, and its share of the draws. */
final readonly class CommandResponse
{
    /**
     * @param  list<Step>  $steps
     * @param  int  $weight  1 to 1000
     * @param  string  $id  the same for good, whatever is edited; none of the same command has it too
     */
    public function __construct(public array $steps, public int $weight = 1, public string $id = '')
    {
    }

    public function called(string $id): self
    {
        return new self($this->steps, $this->weight, $id);
    }

    /** The text of its first step that says something; empty where none does. */
    public function text(): string
    {
        foreach ($this->steps as $step) {
            $says = $step->says();
            if ($says !== null) {
                return $says;
            }
        }

        return '';
    }

    /**
     * @return array<string, string> every text in it that is a response, by its place: "text" where all it does is say
     *     it, else "steps/0/say"
     */
    public function sources(): array
    {
        if ($this->isPlain()) {
            return ['text' => $this->text()];
        }
        $sources = [];
        foreach ($this->steps as $at => $step) {
            foreach ($step->sources() as $place => $text) {
                $sources["steps/$at/$place"] = $text;
            }
        }

        return $sources;
    }

    /** @param  string  $place  of one of its sources */
    public function withSource(string $place, string $text): self
    {
        $steps = $this->steps;
        foreach ($steps as $at => $step) {
            foreach (array_keys($step->sources()) as $in) {
                if ($place === ($this->isPlain() ? 'text' : "steps/$at/$in")) {
                    $steps[$at] = $step->withSource($in, $text);
                }
            }
        }

        return new self($steps, $this->weight, $this->id);
    }

    /** Whether all it does is say a text, as nearly all do. */
    public function isPlain(): bool
    {
        return count($this->steps) === 1 && $this->steps[0]->says() !== null;
    }
}
