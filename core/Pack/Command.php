<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;

/** What the parrot does when a line begins with a trigger. */
final readonly class Command
{
    /**
     * @param  string  $trigger  the first word of a line, "!tide"
     * @param  list<string>  $aliases  other first words
     * @param  list<WeightedText>  $responses  one is drawn by weight
     * @param  int  $channelCooldown  seconds before anybody may set it off again
     * @param  int  $personCooldown  seconds before the same person may
     * @param  string  $levelRefusal  response when a level gate is closed; empty: silence
     * @param  string  $cooldownRefusal  response when a cooldown gate is closed; empty: silence
     * @param  string  $ifItFails  response when the drawn one fails; empty: silence
     * @param  bool  $listed  on the public list or not
     * @param  list<Expectation>  $expectations
     */
    public function __construct(
        public string $trigger,
        public array $responses,
        public array $aliases = [],
        public LevelRule $levels = new LevelRule,
        public int $channelCooldown = 10,
        public int $personCooldown = 60,
        public string $levelRefusal = '',
        public string $cooldownRefusal = '',
        public string $ifItFails = '',
        public bool $enabled = true,
        public bool $listed = true,
        public string $group = '',
        public string $note = '',
        public Voice $voice = Voice::Parrot,
        public Place $place = Place::Chat,
        public array $expectations = [],
    ) {
    }

    public function switched(bool $enabled): self
    {
        return $this->with(enabled: $enabled);
    }

    /** A copy to write on from, without what must be its own. */
    public function copied(): self
    {
        return $this->with(trigger: $this->trigger.'2', aliases: [], expectations: []);
    }

    /** @param  string  $place  of one of its sources, "responses/0/text" */
    public function withSource(string $place, string $text): self
    {
        return $this->with(
            responses: array_map(static fn (WeightedText $response, int $index): WeightedText => $place === "responses/$index/text" ? new WeightedText($text, $response->weight) : $response, $this->responses, array_keys($this->responses)),
            levelRefusal: $place === 'refusals/level' ? $text : null,
            cooldownRefusal: $place === 'refusals/cooldown' ? $text : null,
            ifItFails: $place === 'if_it_fails' ? $text : null,
        );
    }

    /** @return list<string> the trigger and its aliases */
    public function triggers(): array
    {
        return [$this->trigger, ...$this->aliases];
    }

    /** @return array<string, string> every text that is a response, by its place in the command ("responses/0/text") */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->responses as $index => $response) {
            $sources["responses/$index/text"] = $response->text;
        }

        return $sources + array_filter([
            'refusals/level' => $this->levelRefusal,
            'refusals/cooldown' => $this->cooldownRefusal,
            'if_it_fails' => $this->ifItFails,
        ], static fn (string $text): bool => $text !== '');
    }

    /**
     * @param  list<string>|null  $aliases
     * @param  list<WeightedText>|null  $responses
     * @param  list<Expectation>|null  $expectations
     */
    private function with(?string $trigger = null, ?array $responses = null, ?array $aliases = null, ?string $levelRefusal = null, ?string $cooldownRefusal = null, ?string $ifItFails = null, ?bool $enabled = null, ?array $expectations = null): self
    {
        return new self(
            $trigger ?? $this->trigger, $responses ?? $this->responses, $aliases ?? $this->aliases, $this->levels, $this->channelCooldown, $this->personCooldown, $levelRefusal ?? $this->levelRefusal, $cooldownRefusal ?? $this->cooldownRefusal,
            $ifItFails ?? $this->ifItFails, $enabled ?? $this->enabled, $this->listed, $this->group, $this->note, $this->voice, $this->place, $expectations ?? $this->expectations,
        );
    }
}
