<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use SilverParrot\Pack\EarnedBy;

/** A rule by which points are earned, by its id. */
final class EarningRules implements Definition
{
    public function key(): string
    {
        return 'earnings';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->earnings()->where('stable_id', $subject)->first();

        return $row === null
            ? null
            : [
                'unit' => $row->unit,
                'earned_by' => $row->earned_by->value,
                'amount' => $row->amount,
                'minutes' => $row->minutes,
                'levels' => $row->levels,
                'while_live' => $row->while_live,
                'happening' => $row->happening,
            ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->earnings()->where('stable_id', $subject)->delete();
        if ($state !== null) {
            $channel->earnings()->create(['stable_id' => $subject] + $state);
        }
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $state = $after ?? $before ?? [];
        $amount = is_int($state['amount'] ?? null) ? $state['amount'] : 0;
        $happening = is_string($state['happening'] ?? null) ? $state['happening'] : '';
        $by = match ($state['earned_by'] ?? '') {
            EarnedBy::Line->value => 'a line',
            EarnedBy::Happening->value => "a $happening",
            default => 'being here',
        };

        return "$amount for $by".match (true) {
            $after === null => ' was deleted',
            $before === null => ' was added',
            default => ' was changed',
        };
    }
}
