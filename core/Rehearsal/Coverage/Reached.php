<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Coverage;

use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Trace\Reach;
use SilverParrot\Memory\Kind;
use SilverParrot\Rehearsal\Heard;

/** What was come to while lines were heard, with their whys. */
final class Reached
{
    /** @var array<string, true> as Reach calls it */
    public array $keys = [];

    /** @param  iterable<Heard>  $heard */
    public static function in(iterable $heard): self
    {
        $reached = new self;
        foreach ($heard as $one) {
            $reached->take($one->outcome);
        }

        return $reached;
    }

    public function take(Outcome $outcome): void
    {
        foreach ($outcome->trace?->reached() ?? [] as $key) {
            $this->keys[$key] = true;
        }
        if ($outcome->closed !== null && $outcome->command !== null) {
            $this->keys[Reach::closed($outcome->command->id, $outcome->closed->gate)] = true;
        }
        foreach ($outcome->changes as $change) {
            if ($change->key->kind === Kind::Drawn) {
                [$list, $item] = explode("\x1E", $change->key->name, 2) + [1 => ''];
                $this->keys[Reach::item($list, $item)] = true;
            }
        }
    }
}
