<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Remember\MemoryEditor;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\NamedDefinition;
use Illuminate\Database\Connection;

/** All that can be brought and taken away. */
final readonly class Transfers
{
    public function __construct(
        private Connection $connection,
        private MemoryEditor $memory,
        private DefinitionHistory $history,
    ) {
    }

    /** @param  string  $of  which of them, where there are several: a list's id */
    public function of(Channel $channel, string $key, string $of): ?Transfer
    {
        return match ($key) {
            'quotes' => new QuoteTransfer($this->connection, $this->memory),
            'items' => $this->items($channel, $of),
            // Of a list its items are brought.
            'lists' => null,
            default => $this->named($key),
        };
    }

    private function items(Channel $channel, string $list): ?ItemTransfer
    {
        $row = $channel->lists()->where('stable_id', $list)->first();

        return $row === null ? null : new ItemTransfer($row, $this->history);
    }

    private function named(string $key): ?NamedTransfer
    {
        $kind = NamedDefinition::called($key);

        return $kind === null ? null : new NamedTransfer($kind, $this->history);
    }
}
