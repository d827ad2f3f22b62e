<?php

declare(strict_types=1);

namespace App\Remember\Moving;

use App\Models\Channel;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\File;

/** A file of a memory that was looked at is brought, some lines at a time, until somebody stops it. */
final class BringMemory implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 240;

    /** In seconds: one that was lost keeps no other away for longer. */
    public int $uniqueFor = 300;

    public function __construct(public readonly int $channel, public readonly string $file)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->channel;
    }

    public function handle(KeptMemory $memory, MovingProgress $progress): void
    {
        $channel = Channel::query()->find($this->channel);
        if ($channel === null || ! is_file($this->file)) {
            return;
        }
        try {
            $kept = $memory->bring(
                $channel,
                FileLines::of($this->file),
                static fn (int $kept): bool => $progress->goOn($channel, $kept),
            );
            $progress->end($channel, $kept);
        } finally {
            File::delete($this->file);
        }
    }

    /** A job that died says so, instead of standing there for ever. */
    public function failed(): void
    {
        $channel = Channel::query()->find($this->channel);
        if ($channel !== null) {
            app(MovingProgress::class)->end($channel, null);
        }
    }
}
