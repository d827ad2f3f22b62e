<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\Already;
use SilverParrot\Memory\Fenced;
use SilverParrot\Memory\WholeView;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/** One channel that this talker speaks for. */
final class ChannelOnAir
{
    public bool $paused = false;

    /** Which edition, pause and silences are in force: when it differs from the row's, they are read again. */
    public string $stamp = '';

    public ?Pack $pack = null;

    /** @var array<string, null|bool|int|string> details of the channel, as they were last told */
    public array $details = [];

    /** @var array<string, ChatLine> the last line of whoever spoke since the last tally, by login */
    public array $seen = [];

    /** @var array<string, Moment> when the first of those lines was, by login */
    public array $first = [];

    /** @var array<string, int> lines since the last tally, by login */
    public array $lines = [];

    public int $tallies = 0;

    public function __construct(public readonly int $id, public readonly string $login, public readonly int $epoch, private readonly string $seed, private readonly Driver $driver)
    {
    }

    public function hear(ChatLine $line): Outcome|Already|Fenced|null
    {
        $this->seen[$line->by->login] = $line;
        $this->first[$line->by->login] ??= $line->at;
        $this->lines[$line->by->login] = ($this->lines[$line->by->login] ?? 0) + 1;
        if ($this->paused || $this->pack === null) {
            return null;
        }
        $results = [];
        foreach ($this->details as $name => $value) {
            $results["channel.$name"] = $value;
        }
        $world = new World($this->pack, new WholeView, new CannedReadings($results), $line->at, new KeyedChance($this->seed, $line->key), ChatProfile::stream());

        return $this->driver->hear($line, $world)->outcome;
    }
}
