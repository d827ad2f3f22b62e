<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MemoryRows;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\Scripts\ChatAsScript;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Wording;

/** Runs the page's simulated chat: on a copy of memory, with the command as it stands in the fields. */
final readonly class TryChat
{
    /** Words behind a trigger that may name another command. */
    private const NAMED = 3;

    public function __construct(
        private Assembler $assembler,
        private MemoryRows $memory,
        private TakenLines $taken,
        private Wording $wording,
    ) {
    }

    /** @param  int  $line  number of a line to begin with, as TakenLines has them; 0 for none */
    public function begin(Channel $channel, int $line): TryState
    {
        $taken = $this->taken->of($channel, $line);

        return $taken === null ? TryState::fresh($channel->seed) : TryState::takenFrom($taken);
    }

    /**
     * @param  Command|null  $draft  not saved yet; null to hear the saved ones alone
     * @param  string|null  $insteadOf  the saved trigger of the draft's command
     */
    public function run(Channel $channel, TryState $state, ?Command $draft = null, ?string $insteadOf = null): TriedChat
    {
        $from = $this->from($channel, $state);
        $lines = self::lines($state, $from);
        $pack = $this->pack($channel, $lines, $draft, $insteadOf);
        $situation = $this->situation($channel, $from, $state)->withDetailsOf($pack);
        $rehearsal = $this->rehearsal($channel, $pack, $situation, $state, $from, traced: true);

        return new TriedChat(
            $state,
            Runner::run($rehearsal, $lines, [], $state->start, end: $state->now())->heard,
            self::members($pack, $from),
            $situation->channel,
            $rehearsal->timers($state->now()),
        );
    }

    /**
     * The whole chat as a script, with what was answered as what is expected.
     *
     * @param  Command|null  $draft  not saved yet
     */
    public function script(
        Channel $channel,
        TryState $state,
        string $title,
        ?Command $draft,
        ?string $insteadOf,
    ): ReadScript {
        $from = $this->from($channel, $state);
        $lines = self::lines($state, $from);
        $pack = $this->pack($channel, $lines, $draft, $insteadOf);
        $situation = $this->situation($channel, $from, $state)->withDetailsOf($pack);

        return ChatAsScript::of(
            $this->rehearsal($channel, $pack, $situation, $state, $from, traced: false),
            $lines,
            $state->start,
            $state->seed,
            $situation,
            $title,
            $state->isFloodLifted,
        );
    }

    /** The circumstances of one line, as an expectation keeps them; null when there is no such line, or no command. */
    public function expectation(
        Channel $channel,
        TryState $state,
        int $index,
        ?Command $draft,
        ?string $insteadOf,
    ): ?Kept {
        $from = $this->from($channel, $state);
        $lines = self::lines($state, $from);
        $pack = $this->pack($channel, $lines, $draft, $insteadOf);
        $situation = $this->situation($channel, $from, $state)->withDetailsOf($pack);
        $rehearsal = $this->rehearsal($channel, $pack, $situation, $state, $from, traced: false);
        $heard = Runner::run(
            $rehearsal,
            array_slice($lines, 0, $index + 1),
            [],
            $state->start,
        )->line($index);
        if ($heard === null || $heard->by === null || $heard->outcome->command === null) {
            return null;
        }
        $record =
            $from !== null && $from->by->login === $heard->by->login
                ? [Key::person($heard->by->login)->id() => $from->by->record()]
                : [];

        return new Kept($heard->outcome->command->trigger, new Expectation(
            $heard->line->text,
            $heard->by->login,
            $heard->outcome->texts(),
            $state->start->plusMillis($heard->line->millis),
            $state->seed,
            Runner::key($index, $heard->line),
            $record + $rehearsal->given(),
            $situation->channel,
        ));
    }

    /** @return list<CastMember> who can speak in it */
    public function cast(Channel $channel, TryState $state): array
    {
        return self::members($this->assembler->names($channel), $this->from($channel, $state));
    }

    private function rehearsal(
        Channel $channel,
        Pack $pack,
        InitialState $situation,
        TryState $state,
        ?TakenLine $from,
        bool $traced,
    ): Rehearsal {
        $rehearsal = new Rehearsal(
            $state->isFloodLifted ? $pack->withFlood(new Flood(0, 0)) : $pack,
            $situation,
            $state->seed,
            $channel->profile(),
            $traced,
            wording: $this->wording,
        );
        if ($from !== null) {
            $rehearsal->enter($from->by);
        }

        return $rehearsal;
    }

    /** The line that the chat begins with, as long as it is remembered. */
    private function from(Channel $channel, TryState $state): ?TakenLine
    {
        return $this->taken->of($channel, $state->from);
    }

    private function situation(Channel $channel, ?TakenLine $from, TryState $state): InitialState
    {
        $now = $this->memory->copy($channel);

        $then = $from === null ? $now : $now->as($from->memory, $from->readings);
        // What the page only repeats is left as it was found, also where nobody told it.
        $other = array_filter(
            $state->channel,
            static fn (bool|string $value, string $name): bool => $value != ($then->channel[$name] ?? false),
            ARRAY_FILTER_USE_BOTH,
        );

        return $then->withChannel($other + match ($other['live'] ?? null) {
            true => ['started' => $state->start->iso()],
            false => ['started' => null, 'viewers' => null],
            default => [],
        });
    }

    /** @return list<TimedLine> */
    private static function lines(TryState $state, ?TakenLine $from): array
    {
        $first = $state->lines[0] ?? null;

        return $from === null || $first === null
            ? $state->lines
            : [
                new TimedLine($first->millis, $first->by, $first->text, $from->key, $first->isWhisper),
                ...array_slice($state->lines, 1)];
    }

    /** @return list<CastMember> with whoever came over from the real chat */
    private static function members(Pack $pack, ?TakenLine $from): array
    {
        $others = array_values(
            array_filter(
                $pack->cast,
                static fn (CastMember $member): bool => $from === null || $member->login !== $from->by->login,
            ),
        );

        return $from === null
            ? $others
            : [
                new CastMember(
                    $from->by->login,
                    $from->by->name,
                    array_slice($from->by->levels->all(), 1),
                    $from->by->tier,
                    $from->number < 0 ? 'from a rehearsal' : 'from the real chat',
                ),
                ...$others,
            ];
    }

    /** @param  list<TimedLine>  $lines */
    private function pack(Channel $channel, array $lines, ?Command $draft, ?string $insteadOf): Pack
    {
        $said = [];
        foreach ($lines as $line) {
            $words = preg_split('/[\s\p{Z}]++/u', $line->text, self::NAMED + 2, PREG_SPLIT_NO_EMPTY) ?: [];
            // A command may be changed by another, which names it behind its own trigger.
            foreach (array_slice($words, 1, self::NAMED) as $word) {
                array_push($said, $word, "!$word");
            }
            $said[] = $line->text;
        }
        $pack = $this->assembler->reachedBy($channel, array_values(array_unique($said)));

        return $draft === null || $draft->trigger === ''
            ? $pack
            : Assembler::withThoseRun($channel, $pack, [$draft])->withCommand($draft, $insteadOf);
    }
}
