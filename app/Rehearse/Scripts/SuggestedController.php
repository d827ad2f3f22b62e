<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Models\ScriptRow;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Scripts;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Rehearsal\Suggest\Suggestions;

/** Of the scripts that are suggested for a command, those that were chosen are kept. */
final readonly class SuggestedController
{
    public function __construct(private DefinitionHistory $history, private Assembler $assembler)
    {
    }

    public function __invoke(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        /** @var array{texts?: list<string>, chosen?: list<int>} $sent */
        $sent = $request->validate([
            'texts' => ['required', 'array', 'max:'.Suggestions::MOST],
            'texts.*' => ['required', 'string', 'max:'.Script::LONGEST],
            'chosen' => ['array', 'max:'.Suggestions::MOST],
            'chosen.*' => ['integer', 'min:0'],
        ]);
        $pack = $this->assembler->pack($channel);
        $kept = 0;
        $problem = null;
        foreach ($sent['chosen'] ?? [] as $place) {
            $text = str_replace("\r\n", "\n", $sent['texts'][(int) $place] ?? '');
            [$read, $findings] = ScriptFormat::read($text, $pack);
            if ($read === null || $findings !== []) {
                $problem = $findings === [] ? 'It is no script.' : ScriptRequest::sentence($findings[0]);

                continue;
            }
            $script = new Script((string) Str::ulid(), $read->title, $text);
            $problem = ScriptRoom::problem($channel, $script);
            if ($problem !== null) {
                break;
            }
            $this->keep($channel, $script, $user);
            $kept++;
        }
        $page = redirect()->route('rehearse.scripts', $channel);

        return match (true) {
            $problem !== null => $page->withErrors(['chosen' => ($kept > 0 ? "Kept $kept. " : '').$problem]),
            $kept === 0 => redirect()->back()->withErrors(['chosen' => 'Choose at least one of them.']),
            default => $page->with('notice', $kept === 1 ? 'The script is kept.' : "$kept scripts are kept."),
        };
    }

    private function keep(Channel $channel, Script $script, User $user): void
    {
        $this->history->change(
            $channel,
            new Scripts,
            $script->id,
            $user,
            null,
            static fn () => $channel->scripts()->create(ScriptRow::columns($script)),
        );
    }
}
