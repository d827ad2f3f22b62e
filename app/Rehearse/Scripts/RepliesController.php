<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ExpectationRow;
use App\Models\ScriptRow;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Scripts;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\Scripts\ReplyAsScript;
use SilverParrot\Rehearsal\Scripts\ScriptYaml;

/** Replies that were kept as expected of a command become scripts: each can be added to, and goes with the pack. */
final readonly class RepliesController
{
    public function __construct(private DefinitionHistory $history)
    {
    }

    public function __invoke(
        Channel $channel,
        CommandRow $command,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $made = 0;
        foreach ($command->expectations()->get() as $row) {
            /** @var ExpectationRow $row */
            $script = ReplyAsScript::of($row->document);
            $kept = new Script((string) Str::ulid(), $script->title, ScriptYaml::of($script));
            $problem = ScriptRoom::problem($channel, $kept);
            if ($problem !== null) {
                return redirect()->route('rehearse.scripts', $channel)->with('notice', $problem);
            }
            $this->history->change(
                $channel,
                new Scripts,
                $kept->id,
                $user,
                null,
                static function () use ($channel, $kept, $row): void {
                    $channel->scripts()->create(ScriptRow::columns($kept));
                    $row->delete();
                },
                Scripts::ofReply($command, $row->document),
            );
            $made++;
        }

        return redirect()->route('rehearse.scripts', $channel)->with('notice', match ($made) {
            0 => 'There are none any more.',
            1 => 'The reply is a script now.',
            default => "The $made replies are scripts now.",
        });
    }
}
