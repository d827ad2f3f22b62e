<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MemoryRows;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;

/** Runs the page's simulated chat: on a copy of memory, with the command as it stands in the fields. */
final readonly class TryChat
{
    public function __construct(private Assembler $assembler, private MemoryRows $memory)
    {
    }

    /**
     * @param  Command|null  $draft  not saved yet; null to hear the saved ones alone
     * @param  string|null  $insteadOf  the saved trigger of the draft's command
     */
    public function run(Channel $channel, TryState $state, ?Command $draft = null, ?string $insteadOf = null): TriedChat
    {
        $pack = $this->pack($channel, $draft, $insteadOf);
        $rehearsal = new Rehearsal($pack, $this->memory->copy($channel), $state->seed, ChatProfile::stream());

        return new TriedChat($state, Runner::run($rehearsal, $state->lines, [], $state->start)->heard, $pack->cast);
    }

    /** The circumstances of one line, as an expectation keeps them; null when there is no such line, or no command. */
    public function expectation(Channel $channel, TryState $state, int $index, ?Command $draft, ?string $insteadOf): ?Kept
    {
        $pack = $this->pack($channel, $draft, $insteadOf);
        $situation = $this->memory->copy($channel);
        $rehearsal = new Rehearsal($pack, $situation, $state->seed, ChatProfile::stream(), traced: false);
        $heard = Runner::run($rehearsal, array_slice($state->lines, 0, $index + 1), [], $state->start)->heard[$index] ?? null;
        if (! $heard instanceof Heard || $heard->outcome->command === null) {
            return null;
        }

        return new Kept($heard->outcome->command->trigger, new Expectation(
            $heard->line->text,
            $heard->by->login,
            $heard->outcome->texts(),
            $state->start->plusMillis($heard->line->millis),
            $state->seed,
            "line $index",
            $rehearsal->given(),
            $situation->channel,
        ));
    }

    private function pack(Channel $channel, ?Command $draft, ?string $insteadOf): Pack
    {
        $pack = $this->assembler->pack($channel);

        return $draft === null || $draft->trigger === '' ? $pack : $pack->withCommand($draft, $insteadOf);
    }
}
