<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;

/** Which differences between two packs are taken over, and the pack that comes of it. */
final readonly class ChosenChanges
{
    /**
     * @param  list<string>  $commands  ids of commands whose difference is taken over
     * @param  bool  $rest  whether what belongs to no command is
     */
    public function __construct(private array $commands, private bool $rest)
    {
    }

    public function has(Difference $difference): bool
    {
        return $difference->trigger === '' ? $this->rest : in_array($difference->id, $this->commands, true);
    }

    /** What is not taken over stays as it is on the air: changed there, missing there, or still there. */
    public function between(?Pack $air, Pack $draft): Pack
    {
        $left = array_column($air->commands ?? [], null, 'id');
        $commands = [];
        foreach ($draft->commands as $command) {
            $commands[] = $this->takes($command) ? $command : $left[$command->id] ?? null;
            unset($left[$command->id]);
        }
        foreach ($left as $command) {
            $commands[] = $this->takes($command) ? null : $command;
        }

        return ($this->rest || $air === null ? $draft : $air)->withCommands(array_values(array_filter($commands)));
    }

    /** @return array{Command, Command}|null two that would be set off by the same trigger; null where there are none */
    public static function collision(Pack $pack): ?array
    {
        foreach ($pack->commands as $command) {
            foreach ($command->triggers->all() as $trigger) {
                $first = $pack->byTrigger[Fold::caseless($trigger)];
                if ($first !== $command) {
                    return [$first, $command];
                }
            }
        }

        return null;
    }

    private function takes(Command $command): bool
    {
        return in_array($command->id, $this->commands, true);
    }
}
