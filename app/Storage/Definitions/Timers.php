<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use App\Models\TimerRow;
use SilverParrot\Document\Document;
use SilverParrot\Format\TimerFormat;

/** A timer, by its id; its state is what the pack document has of it. */
final class Timers implements Definition
{
    public function key(): string
    {
        return 'timers';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        return $channel->timers()->where('stable_id', $subject)->first()?->document;
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        if ($state === null) {
            $channel->timers()->where('stable_id', $subject)->delete();

            return;
        }
        $timer = TimerFormat::read(Document::of($state));
        $columns = TimerRow::columns($timer);
        // Another one may have taken its name since.
        $others = $channel->timers()->where('stable_id', '<>', $subject)->pluck('name_folded')->all();
        for ($number = 2; in_array($columns['name_folded'], $others, true); $number++) {
            $columns = TimerRow::columns($timer->called(mb_substr($timer->name, 0, 50)." $number"));
        }
        $channel->timers()->updateOrCreate(['stable_id' => $subject], $columns);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $name = ($after ?? $before)['name'] ?? $subject;

        return (is_string($name) ? $name : $subject).match (true) {
            $after === null => ' was deleted',
            $before === null => ' was added',
            default => ' was changed',
        };
    }
}
