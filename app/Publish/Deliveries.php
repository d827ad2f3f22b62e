<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\LogEntry;
use App\Models\Channel;
use Carbon\CarbonImmutable;

/** What reached the chat of the answers to a line, and what the chat said to it. */
final readonly class Deliveries
{
    /** Refusals come at once: what the chat says later is about something else. */
    private const CHAT_ANSWERS_WITHIN_SECONDS = 3;

    /**
     * @param  list<Delivery>  $all  in their order
     * @param  list<string>  $notices  what the chat said right after one of them went out
     */
    private function __construct(public array $all, public array $notices)
    {
    }

    public static function to(Channel $channel, LogEntry $line): self
    {
        $rows = $channel->sayings()->where('event_key', $line->key)->orderBy('position')->get();
        $zone = new \DateTimeZone($channel->zone);
        $all = [];
        $notices = [];
        foreach ($rows as $row) {
            $at = $row->handed_at;
            $all[] = new Delivery($row->text, $row->state, $at?->setTimezone($zone)->format('H:i:s') ?? '');
            $notices += $at === null ? [] : self::notices($channel, $at);
        }

        return new self($all, array_values($notices));
    }

    /** @return array<int, string> by number */
    private static function notices(Channel $channel, CarbonImmutable $at): array
    {
        /** @var array<int, string> $notices */
        $notices = $channel
            ->loggedLines()
            ->where('kind', LogEntry::NOTICE)
            ->whereBetween('at', [$at, $at->addSeconds(self::CHAT_ANSWERS_WITHIN_SECONDS)])
            ->orderBy('number')
            ->pluck('text', 'number')
            ->all();

        return $notices;
    }
}
