<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\Command as Row;
use App\Rehearse\Expectations;
use App\Rehearse\TryChat;
use App\Rehearse\TryState;
use App\Storage\CommandRows;
use Illuminate\Contracts\View\View;
use SilverParrot\Hearing\InOneSentence;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Format\CommandFormat;

/** Everything that stands on a command's page. */
final readonly class CommandPage
{
    public function __construct(private TryChat $try, private Preview $preview, private Expectations $expectations)
    {
    }

    /**
     * @param  Row|null  $row  null for one that was never saved
     * @param  Command  $command  as it stands in the fields
     * @param  array<string, list<string>>  $errors  sentences by field
     */
    public function view(Channel $channel, ?Row $row, Command $command, array $errors = [], ?int $revision = null): View
    {
        return view('write.command', [
            'channel' => $channel,
            'row' => $row,
            'command' => $command,
            'revision' => $revision ?? $row->revision ?? 0,
            'sentence' => InOneSentence::of($command),
            'problems' => $errors,
            'conflict' => null,
            'preview' => $this->preview->of($channel, $command, 0, '', ''),
            'tried' => $this->try->run($channel, TryState::fresh($channel->seed), $command, $row?->trigger),
            'holdings' => $row === null ? [] : $this->expectations->check($channel, $row),
        ]);
    }

    /** @param  Row|null  $theirs null when the command was dropped meanwhile */
    public function conflict(Channel $channel, ?Row $row, Command $mine, ?Row $theirs): View
    {
        $saved = $theirs === null ? null : CommandRows::toCore($theirs);

        return $this->view($channel, $theirs, $mine, [], $theirs->revision ?? 0)->with('conflict', [
            'dropped' => $saved === null,
            'differences' => $saved === null ? [] : self::differences($saved, $mine),
        ]);
    }

    /** @return array<string, array{string, string}> what is meant => theirs, mine */
    private static function differences(Command $theirs, Command $mine): array
    {
        $differences = [];
        $flat = static fn (Command $command): array => self::flat(array_diff_key(CommandFormat::write($command), ['expectations' => 1]));
        [$a, $b] = [$flat($theirs), $flat($mine)];
        foreach (array_keys($a + $b) as $key) {
            if (($a[$key] ?? '') !== ($b[$key] ?? '')) {
                $differences[str_replace(['/', '_'], ' ', (string) $key)] = [$a[$key] ?? '', $b[$key] ?? ''];
            }
        }

        return $differences;
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<string, string>
     */
    private static function flat(array $document, string $at = ''): array
    {
        $flat = [];
        foreach ($document as $key => $value) {
            $name = ltrim("$at/".(is_int($key) ? $key + 1 : $key), '/');
            $flat += is_array($value) ? self::flat($value, $name) : [$name => is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '')];
        }

        return $flat;
    }
}
