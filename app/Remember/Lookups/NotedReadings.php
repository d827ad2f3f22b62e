<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use Amp\TimeoutCancellation;
use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use App\Web\ReadingWorkers;
use App\Web\RecordedAnswers;
use DateTimeZone;
use Illuminate\Database\Connection;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Number;

/** What numbers of a look-up were when the stream began, and what came since. */
final readonly class NotedReadings
{
    /** Seconds that reading the last answer may take. */
    private const SECONDS = 1.0;

    public function __construct(private Connection $connection)
    {
    }

    /** @return array<string, array{began: string, gained: string}> by name of the reading */
    public function of(Channel $channel, Lookup $lookup): array
    {
        $keys = [];
        foreach ($lookup->readings as $reading) {
            if ($reading->isNoted) {
                $keys[$reading->name] = NotedNumbers::ofReading($lookup, $reading->name);
            }
        }
        if ($keys === []) {
            return [];
        }
        $memory = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of(...array_values($keys)));
        $now = $this->now($channel, $lookup);
        $printer = new Printer(Assembler::channel($channel));
        $noted = [];
        foreach ($keys as $name => $key) {
            $began = NotedNumbers::fromKept($memory->value($key));
            $is = $now[Fold::caseless($name)] ?? null;
            if ($began !== null) {
                $gained = is_int($is) || $is instanceof Number
                    ? Number::of(Number::exactOf($is)->minus(Number::exactOf($began)))
                    : null;
                $noted[$name] = [
                    'began' => $printer->print($began),
                    'gained' => $gained === null ? '' : $printer->print($gained),
                ];
            }
        }

        return $noted;
    }

    /**
     * @return array<string, mixed> what the source said last to whoever says nothing, by folded name of the reading
     */
    private function now(Channel $channel, Lookup $lookup): array
    {
        $usual = array_filter(array_map(static fn (Parameter $one): string => $one->default, $lookup->parameters));
        foreach ((new RecordedAnswers($this->connection))->ofOne($channel->id, $lookup) as $one) {
            $answer = $one->canned->answer;
            if ($one->isReal() && $answer instanceof Answer && $one->canned->for == $usual) {
                $workers = new ReadingWorkers;
                $zone = new DateTimeZone($channel->zone);
                $read = $workers->read($lookup, $answer, $zone, new TimeoutCancellation(self::SECONDS));
                $workers->end();

                return $read->values;
            }
        }

        return [];
    }
}
