<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\Lengths;
use SilverParrot\Response\Analysis\StaticAnalyzer;
use SilverParrot\Response\OwnResponseTexts;
use SilverParrot\Response\ResponseCache;

/** What checks look at: a pack, its responses read once for all of them, and what is around it. */
final readonly class CheckContext
{
    /**
     * @param  list<ReadText>  $texts
     * @param  array<string, true>  $named  what the texts of commands name and change, "counter.planks"
     */
    private function __construct(
        public Pack $pack,
        public array $texts,
        public CheckEnvironment $around,
        public array $named,
        public ResponseCache $prepared,
    ) {
    }

    /** @return list<ReadText> without those that steps go by */
    public function said(): array
    {
        return array_values(array_filter($this->texts, static fn (ReadText $text): bool => $text->isSaid()));
    }

    public static function at(Pack $pack, CheckEnvironment $around, ResponseCache $prepared = new ResponseCache): self
    {
        $texts = [];
        $lengths = Lengths::of($pack->channel);
        foreach ($pack->commands as $index => $command) {
            foreach ($command->sources() as $place => $source) {
                $response = $prepared->response($source);
                $texts[] = new ReadText(
                    $command,
                    "/commands/$index/$place",
                    $place,
                    $response,
                    StaticAnalyzer::of(
                        $response,
                        $pack,
                        $around->profile,
                        $command->triggers->all(),
                        $lengths,
                        prepared: $prepared,
                    ),
                );
            }
        }

        $named = [];
        foreach ($texts as $text) {
            $named += array_fill_keys($text->response->namedPlaces(), true);
        }
        foreach ($pack->commands as $command) {
            $named += array_fill_keys($command->gates->names(), true);
        }

        return new self($pack, $texts, $around, $named, $prepared);
    }

    /**
     * A pack whose texts were read before: enough for what looks across commands.
     *
     * @param  array<string, true>  $named
     */
    public static function before(Pack $pack, CheckEnvironment $around, array $named): self
    {
        return new self($pack, [], $around, $named, new ResponseCache);
    }

    /**
     * Read only where it is asked for: there may be ten thousand of them.
     *
     * @return array<string, true> what is named by commands, and by what is a response itself
     */
    public function used(): array
    {
        $used = $this->named;
        foreach (OwnResponseTexts::of($this->pack) as $one) {
            $used += array_fill_keys($this->prepared->response($one['text'])->namedPlaces(), true);
        }

        return $used;
    }
}
