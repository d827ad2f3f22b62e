<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Value\Moment;

/** Carries out what somebody in the chat has asked for, on a pack as it is by then. */
final class PackEdits
{
    public static function apply(PackEdit $edit, Pack $pack, Moment $now): Edited|ActionDone
    {
        $deed = Deeds::named($edit->deed);
        if (! $deed instanceof PackDeed) {
            return ActionDone::refused('no-deed', ['name' => $edit->deed]);
        }

        return $deed->edit(
            $edit->with + array_fill_keys(array_keys($deed->inputs()), ''),
            new DeedScene($pack, $edit->by, $now, new CompleteView, new PendingReads),
        );
    }
}
