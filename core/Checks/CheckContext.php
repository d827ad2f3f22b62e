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
     * @param  array<string, true>  $used  what the texts name and change, "counter.planks"
     */
    private function __construct(
        public Pack $pack,
        public array $texts,
        public CheckEnvironment $around,
        public array $used,
        public ResponseCache $prepared,
    ) {
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

        $used = [];
        foreach ($texts as $text) {
            $used += array_fill_keys($text->response->namedPlaces(), true);
        }

        return new self($pack, $texts, $around, $used + self::usedByOwn($pack, $prepared), $prepared);
    }

    /**
     * A pack whose texts were read before: enough for what looks across commands.
     *
     * @param  array<string, true>  $used
     */
    public static function before(Pack $pack, CheckEnvironment $around, array $used): self
    {
        $prepared = new ResponseCache;

        return new self($pack, [], $around, $used + self::usedByOwn($pack, $prepared), $prepared);
    }

    /** @return array<string, true> what facts and items name that are responses themselves */
    private static function usedByOwn(Pack $pack, ResponseCache $prepared): array
    {
        $used = [];
        foreach (OwnResponseTexts::of($pack) as $one) {
            $used += array_fill_keys($prepared->response($one['text'])->namedPlaces(), true);
        }

        return $used;
    }
}
