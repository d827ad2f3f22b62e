<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ScriptRow;
use SilverParrot\Document\Document;
use SilverParrot\Format\ExpectationFormat;
use SilverParrot\Format\ScriptTextFormat;
use SilverParrot\Pack\Expectation;
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

    /**
     * What was there before a kept reply of a command became a script.
     *
     * @return array<string, mixed>
     */
    public static function ofReply(CommandRow $command, Expectation $reply): array
    {
        return ['reply' => ExpectationFormat::write($reply), 'command' => $command->stable_id];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $reply = $state['reply'] ?? null;
        if ($state === null || is_array($reply)) {
            $channel->scripts()->where('stable_id', $subject)->delete();
            if (is_array($reply)) {
                $channel->commands()->where('stable_id', $state['command'] ?? '')->first()?->expectations()->create([
                    'channel_id' => $channel->id,
                    'document' => ExpectationFormat::read(Document::of($reply)),
                ]);
            }

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
            isset($before['reply']) => ' was made of a kept reply',
            default => ' was changed',
        };
    }
}
