<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandChange;
use App\Models\User;
use App\Storage\CommandRepository;
use App\Storage\TriggerTaken;
use App\Wording\Sentences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\CommandSummary;

/** The commands that were deleted, and restoring them. */
final readonly class DeletedCommandsController
{
    public function __construct(private CommandRepository $rows, private Sentences $sentences)
    {
    }

    public function index(Channel $channel): View
    {
        return view('write.deleted', [
            'channel' => $channel,
            'deleted' => DeletedCommands::in($channel)
                ->with('user')
                ->limit(FindCommands::MOST)
                ->get()
                ->map(function (CommandChange $change): array {
                    $command = CommandFormat::read(Document::of($change->before ?? []));

                    return [
                        'change' => $change,
                        'command' => $command,
                        'sentence' => $this->sentences->summary(CommandSummary::of($command)),
                    ];
                })
                ->all(),
        ]);
    }

    public function restore(Channel $channel, CommandChange $change, #[CurrentUser] User $user): RedirectResponse
    {
        try {
            $row = $this->rows->undoDrop($channel, $change, $user);
        } catch (TriggerTaken $taken) {
            return back(fallback: route('write', $channel))->with(
                'notice',
                "It cannot be restored: {$taken->getMessage()}",
            );
        }

        return back(fallback: route('write', $channel))->with(
            'notice',
            $row === null ? 'It is restored already.' : "{$row->trigger} is restored.",
        );
    }
}
