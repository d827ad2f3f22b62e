<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\Person;

/**
 * A deed that changes the pack itself: what is on the air is another edition then, so it is carried out as an effect.
 * Nobody gets or gives by it what they may not use themselves.
 */
abstract class PackDeed implements EffectDeed
{
    public function gives(): array
    {
        return ['name', 'before', 'after'];
    }

    final public function do(array $with, DeedScene $scene): ActionDone
    {
        if ($scene->by === null) {
            return ActionDone::refused('nobody-asks');
        }
        $edited = $this->edit($with, $scene);

        return $edited instanceof Edited ? ActionDone::with([], $edited->outcome) : $edited;
    }

    final public function effect(array $with, Person $by): PackEdit
    {
        return new PackEdit(static::key(), $with, $by);
    }

    /**
     * Pure; once when it is asked for, and once more when it is carried out.
     *
     * @param  array<string, string>  $with
     * @return Edited|ActionDone a refusal where it cannot be done
     */
    abstract public function edit(array $with, DeedScene $scene): Edited|ActionDone;
}
