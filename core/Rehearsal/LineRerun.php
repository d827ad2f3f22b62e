<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\FoundStore;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Store;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Wording;
use SilverParrot\World;

/**
 * A line that was heard on the air, heard again as it was: by the same person at the same moment, with what it found
 * then and the same luck. What another pack looks at beyond that is as it is now.
 */
final readonly class LineRerun
{
    private EventHandler $handler;

    /** @param  array<string, null|bool|int|string>  $channel  details as they are now, by their names */
    public function __construct(
        private string $seed,
        private ChatProfile $profile,
        private Store $now = new InMemoryStore,
        private array $channel = [],
        private Wording $wording = new MessageKeys,
    ) {
        $this->handler = new EventHandler;
    }

    /**
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  what it found, by key id
     * @param  array<string, null|bool|int|string>  $readings  what it was told, by request id
     */
    public function by(Pack $pack, ChatLine $line, array $memory, array $readings, bool $traced = false): Outcome
    {
        foreach ($this->channel as $name => $value) {
            $readings += ["channel.$name" => $value];
        }
        $store = new FoundStore($memory, $this->now);
        $world = new World(
            $pack,
            new CompleteView,
            new CannedReadings($readings),
            $line->at,
            new KeyedChance($this->seed, $line->key),
            $this->profile,
            $traced,
            $this->wording,
        );
        $outcome = (new Driver($this->handler, $store))->hear($line, $world)->outcome;

        return $outcome instanceof Outcome
            ? $outcome
            : throw new \LogicException('Nothing lasts here, so nothing was heard before.');
    }
}
