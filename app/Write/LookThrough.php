<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Something changed that all commands of a channel hang on: they are looked at again before anybody waits for it. */
final class LookThrough implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 240;

    /** In seconds: one that was lost keeps no other away for longer. */
    public int $uniqueFor = 300;

    public function __construct(public readonly int $channel)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->channel;
    }

    public function handle(Findings $findings): void
    {
        do {
            $channel = Channel::query()->find($this->channel);
            $left = $channel === null ? 0 : $findings->of($channel)->left;
        } while ($left > 0);
    }
}
