<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/**
 * A kind of thing that is set for a channel besides its commands: how it is read, put back, and told. A new one is one
 * class and one line in DefinitionHistory.
 */
interface Definition
{
    public function key(): string;

    /** Whether only the streamer may undo it, as only the streamer may change it. */
    public function isForTheStreamer(): bool;

    /**
     * @param  string  $subject  which of them; empty where there is one alone
     * @return array<string, mixed>|null as it stands now, without any secret; null where there is none
     */
    public function read(Channel $channel, string $subject): ?array;

    /** @param  array<string, mixed>|null  $state  as read gave it; null to have none */
    public function put(Channel $channel, string $subject, ?array $state): void;

    /**
     * What was done, in a sentence without its end: "coveBell was added".
     *
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>|null  $after
     */
    public function tell(string $subject, ?array $before, ?array $after): string;
}
