<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Source\Message;

/** A pack in which one thing is otherwise. */
final readonly class Edited
{
    /**
     * @param  Command|Timer|null  $before  null for what is new
     * @param  Command|Timer|null  $after  null for what is gone
     * @param  array<string, null|bool|int|string|Message>  $outcome
     */
    private function __construct(
        public Pack $pack,
        public Command|Timer|null $before,
        public Command|Timer|null $after,
        public array $outcome,
    ) {
    }

    /** @param  array<string, null|bool|int|string|Message>  $outcome */
    public static function command(Pack $pack, ?Command $before, ?Command $after, array $outcome): self
    {
        $commands = [];
        foreach ($pack->commands as $command) {
            if ($command !== $before) {
                $commands[] = $command;
            } elseif ($after !== null) {
                $commands[] = $after;
            }
        }
        if ($before === null && $after !== null) {
            $commands[] = $after;
        }

        return new self($pack->withCommands($commands), $before, $after, $outcome);
    }

    /** The same, where what is new is kept under another id. */
    public function called(string $id): self
    {
        $after = $this->after instanceof Command ? $this->after->called($id) : $this->after;
        $commands = array_map(
            fn (Command $one): Command => $one === $this->after && $after instanceof Command ? $after : $one,
            $this->pack->commands,
        );

        return new self($this->pack->withCommands($commands), $this->before, $after, $this->outcome);
    }

    /** @param  array<string, null|bool|int|string|Message>  $outcome */
    public static function timer(Pack $pack, Timer $before, Timer $after, array $outcome): self
    {
        $timers = array_map(static fn (Timer $one): Timer => $one === $before ? $after : $one, $pack->timers);

        return new self($pack->withTimers($timers), $before, $after, $outcome);
    }
}
