<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** How quotes are drawn, and how their dates are written. */
final class QuoteHabits implements Definition
{
    public function key(): string
    {
        return 'quotes';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): array
    {
        return ['quotes_all_once' => $channel->quotes_all_once, 'quote_dates' => $channel->quote_dates];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update($state ?? []);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $dates = is_string($after['quote_dates'] ?? null) ? $after['quote_dates'] : '';

        return ($after['quotes_all_once'] ?? false) === true
            ? "quotes come again when all have come, dates as “{$dates}”"
            : "quotes are drawn freely, dates as “{$dates}”";
    }
}
