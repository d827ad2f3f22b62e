<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use App\Models\ScriptRow;
use SilverParrot\Document\Document;
use SilverParrot\Format\ScriptTextFormat;
use SilverParrot\Pack\Script;

/** A script, by its id; its state is what the pack document has of it. */
final class Scripts implements Definition
{
    /** @return list<Script> */
    public static function of(Channel $channel): array
    {
        return array_values(
            $channel->scripts()->get()->map(static fn (ScriptRow $row): Script => $row->script())->all(),
        );
    }

    public function key(): string
    {
        return 'scripts';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->scripts()->where('stable_id', $subject)->first();

        return $row === null ? null : ScriptTextFormat::write($row->script());
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        if ($state === null) {
            $channel->scripts()->where('stable_id', $subject)->delete();

            return;
        }
        $script = ScriptTextFormat::read(Document::of($state));
        $channel->scripts()->updateOrCreate(['stable_id' => $subject], ScriptRow::columns($script));
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $title = ($after ?? $before)['title'] ?? $subject;

        return 'The script '.(is_string($title) ? $title : $subject).match (true) {
            $after === null => ' was deleted',
            $before === null => ' was added',
            default => ' was changed',
        };
    }
}
