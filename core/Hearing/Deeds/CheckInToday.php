<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\CheckIn;

/** Whoever sets it off was here today: once a day, with runs of days. */
final class CheckInToday implements Deed
{
    public static function key(): string
    {
        return 'check in';
    }

    public function inputs(): array
    {
        return [];
    }

    public function gives(): array
    {
        return ['before', 'after', 'has', 'left'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        if ($scene->by === null) {
            return ActionDone::refused('nobody-asks');
        }
        $check = new CheckIn($scene->by, $scene->pack->channel->zone);

        return $scene->knows($check->reads()) ? $check->do($scene->now, $scene->memory) : null;
    }
}
