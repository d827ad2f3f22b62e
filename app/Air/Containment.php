<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;
use Illuminate\Database\LostConnectionDetector;
use Throwable;

/**
 * Keeps one channel's error with that channel: it is reported, counted and shown on its screen, and all others go on.
 * Only a database that is really gone ends the process; a row that does not fit is not that.
 */
final class Containment
{
    /** Seconds between two reports about one channel: a flood of errors must not become a flood of logs. */
    private const REPORT_EVERY = 5.0;

    /** @var array<int, float> when something was reported last, by channel, on a clock that only goes on */
    private array $reported = [];

    public function __construct(private readonly Connection $connection)
    {
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T|null null where it failed
     *
     * @throws DatabaseGone
     */
    public function of(ChannelOnAir $channel, callable $do): mixed
    {
        try {
            return $do();
        } catch (Throwable $thrown) {
            $channel->troubles->failed(now());
            $this->report($channel->id, $thrown);

            return null;
        }
    }

    /**
     * What belongs to a channel that is not on the air yet, or to none.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T|null null where it failed
     *
     * @throws DatabaseGone
     */
    public function alone(callable $do, int $channel = 0): mixed
    {
        try {
            return $do();
        } catch (Throwable $thrown) {
            $this->report($channel, $thrown);

            return null;
        }
    }

    /** @throws DatabaseGone */
    private function report(int $channel, Throwable $thrown): void
    {
        $this->mustBeThere($thrown);
        $now = hrtime(true) / 1e9;
        if ($now - ($this->reported[$channel] ?? 0.0) > self::REPORT_EVERY) {
            $this->reported[$channel] = $now;
            report($thrown);
        }
    }

    /** @throws DatabaseGone */
    private function mustBeThere(Throwable $thrown): void
    {
        if ($thrown instanceof DatabaseGone) {
            throw $thrown;
        }
        if (! $this->saysThatItIsLost($thrown)) {
            return;
        }
        // A connection that was cut is not a database that is gone: it may have been this one alone.
        try {
            $this->connection->reconnect();
            $this->connection->select('SELECT 1');
        } catch (Throwable $again) {
            throw new DatabaseGone($again);
        }
    }

    private function saysThatItIsLost(Throwable $thrown): bool
    {
        $detector = new LostConnectionDetector;
        for ($cause = $thrown; $cause !== null; $cause = $cause->getPrevious()) {
            if ($detector->causedByLostConnection($cause)) {
                return true;
            }
        }

        return false;
    }
}
