<?php

declare(strict_types=1);

namespace App\Border;

use App\Models\Channel;
use LogicException;

/** A request to a channel's page. */
trait OfItsChannel
{
    protected function channel(): Channel
    {
        $channel = $this->route('channel');

        return $channel instanceof Channel ? $channel : throw new LogicException('the route has a channel');
    }
}
