<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandResponseRow;
use App\Models\CommandRow;
use App\Models\EffectRow;
use App\Rehearse\Expectations;
use App\Rehearse\Scripts\CommandCoverage;
use App\Rehearse\TryChat;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Wording\Sentences;
use Illuminate\Contracts\View\View;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\Differences;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Pack\Command;
use SilverParrot\Rehearsal\Coverage\Reached;

/** Everything that stands on a command's page. */
final readonly class CommandPage
{
    public function __construct(
        private TryChat $try,
        private Preview $preview,
        private Expectations $expectations,
        private Sentences $sentences,
        private CommandCoverage $coverage,
    ) {
    }

    /**
     * @param  CommandRow|null  $row  null for one that was never saved
     * @param  Command  $command  as it stands in the fields
     * @param  array<string, list<string>>  $errors  sentences by field
     * @param  int  $line  number of a line on the air that the simulated chat begins with; 0 for none
     */
    public function view(
        Channel $channel,
        ?CommandRow $row,
        Command $command,
        array $errors = [],
        ?int $revision = null,
        int $line = 0,
    ): View {
        $reached = new Reached;
        $holdings = $row === null ? [] : $this->expectations->check($channel, $row, null, $reached);
        $saved = $row === null ? null : CommandRepository::toCore($row);

        return view('write.command', [
            'channel' => $channel,
            'row' => $row,
            'command' => $command,
            'revision' => $revision ?? $row->revision ?? 0,
            'sentence' => $this->sentences->summary(CommandSummary::of($command)),
            'problems' => $errors,
            'conflict' => null,
            'names' => ConditionNames::of($channel),
            'inChat' => $row === null
                ? null
                : EffectRow::query()
                    ->where('channel_id', $channel->id)
                    ->toLookAt()
                    ->where('subject', $row->stable_id)
                    ->latest('id')
                    ->first(),
            'runs' => $this->runs($channel, $command),
            'categories' => Assembler::environment($channel)->categories,
            // Until six in the morning: a night ends when people have slept.
            'tonight' => now($channel->zone)->subHours(6)->addDay()->setTime(6, 0)->format('Y-m-d\TH:i'),
            'preview' => $this->preview->of($channel, $command, 0, '', ''),
            'tried' => $this->try->run($channel, $this->try->begin($channel, $line), $command, $row?->trigger),
            'holdings' => $holdings,
        ] + ($saved === null ? ['marks' => []] : $this->coverage->of($channel, $saved, $reached)));
    }

    /** @return array<string, string> the triggers of commands that it runs, by id */
    private function runs(Channel $channel, Command $command): array
    {
        $triggers = [];
        $runs = $command->runs();
        foreach ($runs === [] ? [] : $channel->commands()->whereIn('stable_id', $runs)->get() as $row) {
            $triggers[$row->stable_id] = $row->trigger;
        }

        return $triggers;
    }

    /**
     * What a page has to know that goes on after its command was saved.
     *
     * @return array{number: int, revision: int, responses: list<string>, url: string, action: string, id: string,
     *     title: string, notice: string, expectations: string}
     */
    public function saved(Channel $channel, CommandRow $row): array
    {
        return [
            'number' => $row->id,
            'revision' => $row->revision,
            'responses' => array_values(
                $row->responses->map(static fn (CommandResponseRow $one): string => $one->stable_id)->all(),
            ),
            'url' => route('write.command', [$channel, $row]),
            'action' => route('write.update', [$channel, $row]),
            'id' => $row->stable_id,
            'title' => "{$row->trigger} · {$channel->name}",
            'notice' => "{$row->trigger} is saved.",
            'expectations' => view('rehearse.partials.expectations', [
                'channel' => $channel,
                'row' => $row,
                'holdings' => $this->expectations->check($channel, $row),
            ])->render(),
        ];
    }

    /** @param  CommandRow|null  $theirs null when the command was dropped meanwhile */
    public function conflict(Channel $channel, ?CommandRow $row, Command $mine, ?CommandRow $theirs): View
    {
        $saved = $theirs === null ? null : CommandRepository::toCore($theirs);

        return $this->view($channel, $theirs, $mine, [], $theirs->revision ?? 0)->with('conflict', [
            'dropped' => $saved === null,
            'differences' => $saved === null
                    ? []
                    : Differences::fields(
                        Differences::flat(CommandFormat::write($saved)),
                        Differences::flat(CommandFormat::write($mine)),
                    ),
        ]);
    }
}
