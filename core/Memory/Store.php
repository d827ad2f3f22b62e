<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;

/** Where memory lasts, opened for one channel. */
interface Store
{
    /** The keys as they stand now, without locks. */
    public function snapshot(Reads $reads): View;

    /**
     * The one way by which memory changes: hears the event under the channel's lock, then keeps all of its changes or
     * none.
     *
     * @template T of Turn
     *
     * @param  EventKey  $key  what was taken before is not taken again
     * @param  Closure(View): T  $hear  pure; may be run again
     * @return T|AlreadyHandled|LeaseLost
     */
    public function turn(EventKey $key, Reads $reads, Closure $hear): Turn|AlreadyHandled|LeaseLost;
}
