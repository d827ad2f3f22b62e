<?php

declare(strict_types=1);

namespace App\Air;

use DateTimeInterface;

/** What went wrong for one channel since this talker took it, as its screen tells it. */
final class Troubles
{
    /** Lines and beats that ended in an error. */
    private int $failed = 0;

    /** When the last one did; empty for never. */
    private string $failedAt = '';

    /** Lines that came faster than they may, and were not heard. */
    public int $dropped = 0;

    public function failed(DateTimeInterface $at): void
    {
        $this->failed++;
        $this->failedAt = $at->format('Y-m-d\TH:i:s\Z');
    }

    public function json(): string
    {
        return json_encode(
            ['failed' => $this->failed, 'failed_at' => $this->failedAt, 'dropped' => $this->dropped],
            JSON_THROW_ON_ERROR,
        );
    }
}
