<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

use SilverParrot\Chat\ChatLine;

/** Who in a log talks by itself: accounts that answer commands at once, time after time. */
final class TalkerGuess
{
    /** An answer comes within this, in milliseconds: nobody reads and types so fast. */
    private const AT_ONCE = 1_500;

    private const LEAST = 5;

    /** Percent of an account's lines that are such answers. */
    private const MOSTLY = 70;

    private const PEOPLE = 20_000;

    /** A sign and a letter right behind it, as commands of any chat begin (common practice). */
    private const COMMAND = '/^\s*[!?.~$%&*+\/#=^-]\p{L}/u';

    /** @var array<string, array{int, int, string}> lines, those that are answers at once, and the name, by login */
    private array $people = [];

    /** @var array<string, array<string, true>> keys of the commands that each answered, by login */
    private array $answered = [];

    /** The last command that nobody answered yet. */
    private ?ChatLine $command = null;

    public function take(ChatLine $line): void
    {
        $login = $line->by->login;
        if (! isset($this->people[$login]) && count($this->people) >= self::PEOPLE) {
            return;
        }
        $this->people[$login] ??= [0, 0, $line->by->name];
        $this->people[$login][0]++;
        $isCommand = preg_match(self::COMMAND, $line->text) === 1;
        $command = $this->command;
        if (
            ! $isCommand
            && $command !== null
            && $command->by->login !== $login
            && $line->at->millis - $command->at->millis <= self::AT_ONCE
        ) {
            $this->people[$login][1]++;
            $this->answered[$login][$command->key] = true;
        }
        if ($isCommand) {
            $this->command = $line;
        }
    }

    /** @return array<string, array{name: string, lines: int, answers: int, commands: array<string, true>}> by login */
    public function talkers(): array
    {
        $talkers = [];
        foreach ($this->people as $login => [$lines, $answers, $name]) {
            if ($answers >= self::LEAST && $answers * 100 >= self::MOSTLY * $lines) {
                $talkers[(string) $login] = [
                    'name' => $name,
                    'lines' => $lines,
                    'answers' => $answers,
                    'commands' => $this->answered[$login] ?? [],
                ];
            }
        }

        return $talkers;
    }
}
