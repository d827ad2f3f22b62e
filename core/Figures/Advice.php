<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;

/**
 * What an evening suggests: a longer cooldown for what made up much of what the parrot said. Commands of moderators are
 * left alone: they are repeated on purpose where a chat is fast.
 */
final class Advice
{
    /** Proposals of one evening: each is tried by hearing it again. */
    public const MOST = 3;

    /** Answers below which nothing is too many. */
    private const LEAST = 12;

    /** Percent of what the parrot said, from which one thing is much of it. */
    private const MUCH = 12;

    /** Cooldowns for everybody that are proposed, in seconds: the first that is longer than the one there is. */
    private const SECONDS = [30, 60, 120, 300];

    /** @return list<Proposal> what said most first */
    public static function of(Evening $evening, Pack $pack): array
    {
        $lanes = array_filter($evening->lanes, static fn (Lane $lane): bool => in_array(
            $lane->kind,
            [LaneKind::Command, LaneKind::Phrase],
            true,
        ) && $lane->answered >= self::LEAST && $lane->answered * 100 >= self::MUCH * $evening->said);
        uasort($lanes, static fn (Lane $a, Lane $b): int => $b->answered <=> $a->answered);
        $proposals = [];
        foreach ($lanes as $key => $lane) {
            $command = $pack->command($lane->command) ?? self::named($pack, $lane->command);
            $cooldown = $command?->gates->get(Cooldown::class);
            $seconds = self::longer($cooldown->channel ?? 0);
            if ($command === null || $cooldown === null || $seconds === null || self::isForModerators($command)) {
                continue;
            }
            $proposals[] = new Proposal(
                $key,
                $lane->name,
                $lane->command,
                $seconds,
                intdiv($lane->answered * 100, max(1, $evening->said)),
                $pack->withCommand($command->gated($cooldown->forAll($seconds)), $command->trigger),
            );
        }

        return array_slice($proposals, 0, self::MOST);
    }

    private static function longer(int $seconds): ?int
    {
        foreach (self::SECONDS as $longer) {
            if ($longer > $seconds) {
                return $longer;
            }
        }

        return null;
    }

    private static function isForModerators(Command $command): bool
    {
        $rule = $command->gates->get(ForLevels::class)->rule;
        $levels = $rule->atLeast === null ? $rule->anyOf : [$rule->atLeast];

        return $levels !== [] && array_filter(
            $levels,
            static fn (Level $level): bool => ! in_array(
                $level,
                [Level::Moderator, Level::Editor, Level::Streamer],
                true,
            ),
        ) === [];
    }

    /** A command without a trigger is found by its name. */
    private static function named(Pack $pack, string $name): ?Command
    {
        foreach ($pack->commands as $command) {
            if ($command->trigger === $name) {
                return $command;
            }
        }

        return null;
    }
}
