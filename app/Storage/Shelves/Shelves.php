<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use SilverParrot\Memory\Kind;

/** Where each kind of thing is remembered. */
final class Shelves
{
    /** @var array<string, Keeps> by kind, as far as they were asked for */
    private array $shelves = [];

    public function of(Kind $kind): Keeps
    {
        return $this->shelves[$kind->value] ??= match ($kind) {
            Kind::Counter => new CounterNumbers,
            Kind::Field => new FieldValues,
            Kind::Goods => new Balances(Balances::GOODS),
            Kind::Occasion => new OccasionMoments,
            Kind::Person, Kind::Seen => new People,
            Kind::Quote => new QuoteTexts,
            Kind::LastQuote => new LastQuotes,
            Kind::AddedItems => new ItemsFromChat,
            Kind::ListPosition => new ListPositions,
            Kind::Drawn => new ListDraws,
            Kind::EverEarned => new EverEarned,
            Kind::Sold => new SoldGoods,
            Kind::CheckIn => new CheckIns,
            Kind::Regular => new Regulars,
            Kind::Guarded => new GuardedCounts,
            Kind::Noted => new NotedNumbers,
            Kind::LongestRun => new LongestRuns,
            Kind::LastRun => new Cooldowns,
            Kind::Timer => new TimerStates(TimerStates::TIMER),
            Kind::PeopleLines => new TimerStates(TimerStates::LINES),
            Kind::Successes => new CommandSuccesses,
            Kind::RecentAnswers => new RecentAnswers,
            Kind::Stream => new RunningStreams,
        };
    }
}
