<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/**
 * One of the responses that a command draws from: its steps, one after another, its share of the draws, and when it is
 * among them at all.
 */
final readonly class CommandResponse
{
    public Gates $gates;

    /**
     * @param  list<Step>  $steps
     * @param  int  $weight  1 to 1000
     * @param  string  $id  the same for good, whatever is edited; none of the same command has it too
     * @param  Gates|null  $gates  where one of them is closed it is not drawn
     */
    public function __construct(
        public array $steps,
        public int $weight = 1,
        public string $id = '',
        ?Gates $gates = null,
    ) {
        $this->gates = $gates ?? Gates::of();
    }

    public function called(string $id): self
    {
        return new self($this->steps, $this->weight, $id, $this->gates);
    }

    public function gated(GateSetting ...$settings): self
    {
        return new self($this->steps, $this->weight, $this->id, $this->gates->with(...$settings));
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

        return new self($steps, $this->weight, $this->id, $this->gates);
    }

    /** The same with another text in the first step that says something. */
    public function saying(string $text): self
    {
        $steps = $this->steps;
        foreach ($steps as $at => $step) {
            if ($step->says() !== null) {
                $steps[$at] = $step->withSource('say', $text);
                break;
            }
        }

        return new self($steps, $this->weight, $this->id, $this->gates);
    }

    /** Whether all it does is say a text, as nearly all do. */
    public function isPlain(): bool
    {
        return count($this->steps) === 1 && $this->steps[0]->says() !== null;
    }
}
