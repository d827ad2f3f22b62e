<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\Log;
use App\Air\LogEntry;
use App\Air\Silence;
use App\Models\Channel;
use App\Models\Edition;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Generator;
use Illuminate\Database\Connection;
use SilverParrot\Hearing\LineMatch;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\LineRerun;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/** Lines of the real chat, heard again: for their why, and for what a draft would have said. */
final readonly class LineReruns
{
    /** How many of the last lines go through draft and air before publishing. */
    public const LINES = 300;

    public function __construct(
        private Connection $connection,
        private Log $log,
        private Assembler $assembler,
        private Editions $editions,
        private Wording $wording,
    ) {
    }

    /** Why it was answered as it was; null where its edition is not kept any more. */
    public function why(Channel $channel, LogEntry $line): ?Outcome
    {
        /** @var Edition|null $edition */
        $edition = $channel->editions()->where('number', $line->edition)->first();

        if ($edition === null) {
            return null;
        }
        $pack = Editions::packOf($edition);
        $command = $line->silence === Silence::Command ? LineMatch::in($pack, $line->text)?->command : null;

        return $this->again($channel)->by(
            $command === null ? $pack : Editions::packOf($edition, [Fold::caseless($command->id)]),
            $line->line(),
            $line->memory,
            $line->readings,
            traced: true,
        );
    }

    /**
     * What was heard last, through the edition on the air and through the draft.
     *
     * @return array{int, list<HeardTwice>} how many lines were looked at, and those that would be answered differently
     */
    public function differently(Channel $channel): array
    {
        $air = $this->editions->onAir($channel);
        if ($air === null) {
            return [0, []];
        }
        $lines = $this->log->lastHeard($channel->id, self::LINES);
        $said = array_map(static fn (LogEntry $line): string => $line->text, $lines);
        $draft = $this->assembler->reachedBy($channel, $said);
        $again = $this->again($channel);
        $different = [];
        foreach ($lines as $line) {
            $before = $again->by($air, $line->line(), $line->memory, $line->readings);
            $after = $again->by($draft, $line->line(), $line->memory, $line->readings);
            if ($before->texts() !== $after->texts()) {
                $different[] = new HeardTwice($line, $before, $after);
            }
        }

        return [count($lines), $different];
    }

    /**
     * Lines that were heard since a moment, the last first, through the edition on the air and through the draft.
     *
     * @return Generator<int, HeardTwice>
     */
    public function since(Channel $channel, Moment $since, Pack $air, Pack $draft): Generator
    {
        $again = $this->again($channel);
        for ($number = PHP_INT_MAX; ;) {
            $lines = $this->log->heardBefore($channel->id, $number, self::LINES);
            foreach (array_reverse($lines) as $line) {
                if ($line->at->millis < $since->millis) {
                    return;
                }
                $number = $line->number;
                yield new HeardTwice(
                    $line,
                    $again->by($air, $line->line(), $line->memory, $line->readings),
                    $again->by($draft, $line->line(), $line->memory, $line->readings),
                );
            }
            if ($lines === []) {
                return;
            }
        }
    }

    public function twice(Channel $channel, LogEntry $line): ?HeardTwice
    {
        $air = $this->editions->onAir($channel);
        $again = $this->again($channel);
        $by = static fn (Pack $pack): Outcome => $again->by(
            $pack,
            $line->line(),
            $line->memory,
            $line->readings,
            traced: true,
        );

        return $air === null
            ? null
            : new HeardTwice($line, $by($air), $by($this->assembler->reachedBy($channel, [$line->text])));
    }

    private function again(Channel $channel): LineRerun
    {
        return new LineRerun(
            $channel->seed,
            $channel->profile(),
            new MariaDbStore($this->connection, $channel->id),
            $channel->details,
            $this->wording,
        );
    }
}
