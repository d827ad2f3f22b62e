<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\GivePoints;

/** Whoever sets it off gives points of their own to somebody: a whole amount, or all. */
final class GivePointsAway implements Deed
{
    public static function key(): string
    {
        return 'give points';
    }

    public function inputs(): array
    {
        return ['to' => '[target.login or target or ""]', 'amount' => '[word 2]', 'unit' => ''];
    }

    public function gives(): array
    {
        return ['name', 'before', 'after'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        $unit = $scene->unit($with['unit']);
        if ($unit instanceof ActionDone || $scene->by === null) {
            return $unit instanceof ActionDone ? $unit : ActionDone::refused('nobody-asks');
        }
        if (trim($with['to']) === '') {
            return ActionDone::refused('nobody-named');
        }
        $to = $scene->person($with['to']);
        $give = $to === null ? null : new GivePoints($unit, $scene->by, $to);

        return $give === null || ! $scene->knows($give->reads()) ? null : $give->do($with['amount'], $scene->memory);
    }
}
