<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use App\Models\LookupRow;
use App\Storage\Definitions\Named\UsedByName;
use SilverParrot\Document\Document;
use SilverParrot\Format\LookupFormat;

/** A look-up, by its id; its state is what the pack document has of it. */
final class Lookups implements UsedByName
{
    public function key(): string
    {
        return 'lookups';
    }

    public function prefix(): string
    {
        return 'lookup';
    }

    public function heads(): array
    {
        return [$this->prefix()];
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        return $channel->lookups()->where('stable_id', $subject)->first()?->document;
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        if ($state === null) {
            $channel->lookups()->where('stable_id', $subject)->delete();

            return;
        }
        $channel->lookups()->updateOrCreate(
            ['stable_id' => $subject],
            LookupRow::columns(LookupFormat::read(Document::of($state))),
        );
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $name = ($after ?? $before)['name'] ?? $subject;

        return 'lookup.'.(is_string($name) ? $name : $subject).match (true) {
            $after === null => ' was deleted',
            $before === null => ' was made',
            default => ' was changed',
        };
    }
}
