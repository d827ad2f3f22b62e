<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Remember\MemoryEditor;
use Illuminate\Database\Connection;

/** All that can be brought and taken away. */
final readonly class Transfers
{
    public function __construct(private Connection $connection, private MemoryEditor $memory)
    {
    }

    /** @param  string  $of  which of them, where there are several: a list's id */
    public function of(Channel $channel, string $key, string $of): ?Transfer
    {
        return match ($key) {
            'quotes' => new QuoteTransfer($this->connection, $this->memory),
            default => null,
        };
    }
}
