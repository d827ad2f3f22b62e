<?php

declare(strict_types=1);

namespace App\Publish;

use SilverParrot\Source\Message;

/** One answer to a line, and what became of it on its way to the chat. */
final readonly class Delivery
{
    /**
     * @param  string  $state  as it stands in the queue: queued, handed, stale, dropped
     * @param  string  $time  when it was handed to the chat, in the channel's zone; empty where it was not
     */
    public function __construct(public string $text, private string $state, private string $time)
    {
    }

    public function isSaid(): bool
    {
        return $this->state === 'handed';
    }

    public function message(): Message
    {
        return new Message("deliveries.{$this->state}", ['time' => $this->time]);
    }
}
