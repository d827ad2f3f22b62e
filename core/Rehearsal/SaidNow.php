<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Reads;
use SilverParrot\Outbox\Fitter;
use SilverParrot\Outbox\MessageLimits;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/**
 * What each of many texts would say to one person at one moment; memory is asked once a round for all of them together.
 */
final readonly class SaidNow
{
    /** One thing found in memory may lead to another, and hardly to a third. */
    private const ROUNDS = 4;

    /** Steps of work for all of them together: what would come after is not told. */
    private const WORK = 20 * Limits::WORK;

    public function __construct(
        private Pack $pack,
        private InitialState $situation,
        private ChatProfile $profile,
        private string $seed,
        private ResponseCache $prepared = new ResponseCache,
    ) {
    }

    /**
     * @param  Person|null  $person  null where nobody asks
     * @param  array<int, string>  $texts
     * @return array<int, string|null> by the same keys; null for what fails, or says nothing
     */
    public function to(?Person $person, string $words, array $texts, Moment $now): array
    {
        $store = new InMemoryStore($this->situation->memory, $this->situation->rest, InitialState::ofCast($this->pack));
        $readings = $this->situation->outside($this->pack, $store->values(...));
        $scene = Invocation::of($person, $words);
        $limits = new MessageLimits($this->profile, $this->pack->channel->login, $this->pack->parrot);
        $open = array_map(fn (string $text): Response => $this->prepared->response($text), $texts);
        $said = array_fill_keys(array_keys($texts), null);
        $reads = Reads::of();
        $work = 0;
        for ($round = 0; $open !== [] && $round < self::ROUNDS; $round++) {
            $world = new World(
                $this->pack,
                $store->snapshot($reads),
                $readings,
                $now,
                new KeyedChance($this->seed, 'now'),
                $this->profile,
            );
            $needed = new PendingReads;
            foreach ($open as $place => $response) {
                $own = new OwnResponses($this->prepared);
                $run = new EvaluationContext($world, $scene, "now/$place", $needed, own: $own);
                $heard = $response->say($run);
                $work += $run->worked();
                if ($work > self::WORK) {
                    return $said;
                }
                if ($heard instanceof RenderedResponse) {
                    $text = Fitter::fit($heard, $limits)->text();
                    $said[$place] = $text === '' ? null : $text;
                }
                if ($heard !== null) {
                    unset($open[$place]);
                }
            }
            $reads = $reads->and(Reads::of(...array_values($needed->keys)));
        }

        return $said;
    }
}
