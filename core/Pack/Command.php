<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Person;

/** What the parrot does when something sets it off: gates, then the steps of one of its responses. */
final readonly class Command
{
    /** What memory, cooldowns, luck and expectations hang on; a new trigger does not change it. */
    public string $id;

    /** What it is called: the first of its triggers. */
    public string $trigger;

    /** @var list<CommandResponse> each with an id of its own */
    public array $responses;

    public Gates $gates;

    /**
     * @param  list<CommandResponse>  $responses  one is drawn
     * @param  array<string, string>  $refusals  what is said where a gate is closed, by the refusal's key; empty for
     *     silence, and those left out as the whole channel has it
     * @param  string  $ifItFails  what is said where a step fails; empty: silence
     * @param  string  $id  empty where it never had another than its trigger; never digits alone
     * @param  DrawOrder  $order  in which its responses are drawn
     */
    public function __construct(
        public Triggers $triggers,
        array $responses = [],
        ?Gates $gates = null,
        public array $refusals = [],
        public string $ifItFails = '',
        public Delivery $delivery = new Delivery,
        public CommandMetadata $about = new CommandMetadata,
        string $id = '',
        public DrawOrder $order = DrawOrder::Free,
    ) {
        $this->trigger = $triggers->word;
        $this->id = $id === '' ? $triggers->word : $id;
        $this->responses = self::told($responses);
        $this->gates = $gates ?? Gates::of();
    }

    public function isOn(): bool
    {
        return $this->gates->areOn();
    }

    /** Whether they may ever set it off, as far as that goes by who they are. */
    public function isFor(Person $person): bool
    {
        return $this->gates->admit($person);
    }

    /** @return list<string> the commands that it runs, by their ids or triggers */
    public function runs(): array
    {
        $runs = [];
        foreach ($this->responses as $response) {
            foreach ($response->steps as $step) {
                $run = $step->runs();
                array_push($runs, ...$run === null ? [] : [$run]);
            }
        }

        return $runs;
    }

    /** @param  string  $id  of one of its responses */
    public function response(string $id): ?CommandResponse
    {
        return array_values(
            array_filter($this->responses, static fn (CommandResponse $response): bool => $response->id === $id),
        )[0] ?? null;
    }

    /** @param  class-string<GateSetting>  ...$kinds  whose gates count, and no others */
    public function lookingAt(string ...$kinds): self
    {
        return $this->with(['gates' => $this->gates->lookingAt(...$kinds)]);
    }

    public function gated(GateSetting ...$settings): self
    {
        return $this->with(['gates' => $this->gates->with(...$settings)]);
    }

    public function refusing(Refusal $refusal, string $text): self
    {
        return $this->with(['refusals' => [$refusal->key => $text] + $this->refusals]);
    }

    public function failing(string $text): self
    {
        return $this->with(['ifItFails' => $text]);
    }

    public function alsoOn(string ...$aliases): self
    {
        return $this->with([
            'triggers' => new Triggers(
                $this->trigger,
                [...$this->triggers->aliases, ...array_values($aliases)],
                $this->triggers->phrases,
                $this->triggers->isNameOnly,
            ),
        ]);
    }

    /** Set off by phrases too. */
    public function saidAs(Phrase ...$phrases): self
    {
        return $this->with(['triggers' => $this->triggers->saidAs(array_values($phrases))]);
    }

    public function delivered(Delivery $delivery): self
    {
        return $this->with(['delivery' => $delivery]);
    }

    public function described(CommandMetadata $about): self
    {
        return $this->with(['about' => $about]);
    }

    public function called(string $id): self
    {
        return $this->with(['id' => $id]);
    }

    /** @param  list<CommandResponse>  $responses */
    public function answering(array $responses): self
    {
        return $this->with(['responses' => $responses]);
    }

    public function drawn(DrawOrder $order): self
    {
        return $this->with(['order' => $order]);
    }

    public function on(Triggers $triggers): self
    {
        return $this->with(['triggers' => $triggers]);
    }

    /** A copy to write on from, without what must be its own. */
    public function copied(): self
    {
        return $this->with([
            'triggers' => new Triggers($this->trigger.'2', isNameOnly: $this->triggers->isNameOnly),
            'about' => new CommandMetadata($this->about->group, $this->about->note, $this->about->listed),
            'id' => '',
            'responses' => array_map(
                static fn (CommandResponse $response): CommandResponse => $response->called(''),
                $this->responses,
            ),
        ]);
    }

    /** @param  string  $place  of one of its sources, "responses/0/text" */
    public function withSource(string $place, string $text): self
    {
        $parts = explode('/', $place, 3);

        return match ($parts[0]) {
            'responses' => $this->with([
                'responses' => array_map(
                    static fn (CommandResponse $response, int $index): CommandResponse => $parts[1] === (string) $index
                        ? $response->withSource($parts[2] ?? '', $text)
                        : $response,
                    $this->responses,
                    array_keys($this->responses),
                ),
            ]),
            'refusals' => $this->with(['refusals' => [$parts[1] ?? '' => $text] + $this->refusals]),
            'if_it_fails' => $this->failing($text),
            default => $this,
        };
    }

    /** @return array<string, string> every text that is a response, by its place in the command ("responses/0/text") */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->responses as $index => $response) {
            foreach ($response->sources() as $place => $text) {
                $sources["responses/$index/$place"] = $text;
            }
        }
        foreach ($this->refusals as $key => $text) {
            $sources["refusals/$key"] = $text;
        }

        return array_filter(
            $sources + ['if_it_fails' => $this->ifItFails],
            static fn (string $text, string $place): bool => $text !== '' || str_starts_with($place, 'responses/'),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * Those without an id, or with another’s, are told apart by their place, as all were before they had any.
     *
     * @param  list<CommandResponse>  $responses
     * @return list<CommandResponse>
     */
    private static function told(array $responses): array
    {
        $taken = [];
        foreach ($responses as $place => $response) {
            if (isset($taken["#{$response->id}"])) {
                $responses[$place] = $response->called('');
            }
            $taken["#{$response->id}"] = true;
        }
        foreach ($responses as $place => $response) {
            for ($id = $place; $response->id === ''; $id++) {
                if (! isset($taken["#$id"])) {
                    $taken["#$id"] = true;
                    $responses[$place] = $response = $response->called((string) $id);
                }
            }
        }

        return $responses;
    }

    /**
     * @param  array{triggers?: Triggers, responses?: list<CommandResponse>, gates?: Gates,
     *     refusals?: array<string, string>, ifItFails?: string, delivery?: Delivery, about?: CommandMetadata,
     *     id?: string, order?: DrawOrder}  $other
     */
    private function with(array $other): self
    {
        return new self(
            $other['triggers'] ?? $this->triggers,
            $other['responses'] ?? $this->responses,
            $other['gates'] ?? $this->gates,
            $other['refusals'] ?? $this->refusals,
            $other['ifItFails'] ?? $this->ifItFails,
            $other['delivery'] ?? $this->delivery,
            $other['about'] ?? $this->about,
            $other['id'] ?? $this->id,
            $other['order'] ?? $this->order,
        );
    }
}
