<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ScriptRow;
use App\Models\User;
use App\Rehearse\TakenLine;
use App\Rehearse\TakenLines;
use App\Rehearse\TryChat;
use App\Rehearse\TryController;
use App\Rehearse\TryState;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Scripts;
use App\Storage\MemoryRows;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\Coverage\Coverable;
use SilverParrot\Rehearsal\Coverage\PackCoverage;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Rehearsal\Scripts\ScriptYaml;
use SilverParrot\Rehearsal\Suggest\Suggestion;
use SilverParrot\Rehearsal\Suggest\Suggestions;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/** Scripts: written, run, and mended. */
final readonly class ScriptsController
{
    public function __construct(
        private ScriptRuns $runs,
        private DefinitionHistory $history,
        private Assembler $assembler,
        private MemoryRows $memory,
        private Wording $wording,
        private ResponseCache $prepared,
    ) {
    }

    public function index(Request $request, Channel $channel): View
    {
        $row = $channel->scripts()->whereKey($request->integer('script'))->first();
        $text = old('text', $row->text ?? self::sample($channel));
        $stand = $this->runs->goOn($channel);

        return view('rehearse.scripts', [
            'channel' => $channel,
            'stand' => $stand,
            'coverage' => PackCoverage::of($this->assembler->pack($channel), $stand->reached, $this->prepared),
            'row' => $row,
            'isNew' => $row === null && $request->has('new'),
            'for' => $row === null ? $channel->commands()->whereKey($request->integer('for'))->first() : null,
            'triggers' => $triggers = self::triggers($channel),
            'numbers' => array_flip($triggers),
            'text' => is_string($text) ? $text : '',
            'seen' => DefinitionHistory::revision($channel, new Scripts),
        ] + ($row === null ? ['result' => null] : $this->ran($channel, $row->text)));
    }

    /** What could be kept for one command: a part of a page, as it takes a while to find. */
    public function suggest(Channel $channel, CommandRow $command): View
    {
        return view('rehearse.partials.suggested', ['channel' => $channel] + $this->suggested($channel, $command));
    }

    /** What all came to, as far as they ran: a part of a page that goes on by itself. */
    public function stand(Channel $channel): View
    {
        return view('rehearse.partials.scripts-stand', [
            'channel' => $channel,
            'stand' => $this->runs->goOn($channel),
        ]);
    }

    /** Runs what stands in the field, saved or not. */
    public function run(ScriptRequest $request, Channel $channel): View
    {
        return view('rehearse.partials.script-result', ['channel' => $channel, 'row' => null] + $this->ran(
            $channel,
            $request->text(),
        ));
    }

    /** Those that were chosen run once more, or all where none was. */
    public function again(Request $request, Channel $channel): RedirectResponse
    {
        /** @var array{chosen?: list<int>} $sent */
        $sent = $request->validate(['chosen' => ['array', 'max:'.Script::MOST], 'chosen.*' => ['integer']]);
        $chosen = $sent['chosen'] ?? [];
        $channel
            ->scripts()
            ->when($chosen !== [], static fn ($of) => $of->whereKey($chosen))
            ->update(['ran_against' => null]);

        return redirect()->route('rehearse.scripts', $channel);
    }

    public function store(ScriptRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        return $this->keep($channel, $request->script((string) Str::ulid()), $user, null);
    }

    public function update(
        ScriptRequest $request,
        Channel $channel,
        ScriptRow $script,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        return $this->keep($channel, $request->script($script->stable_id), $user, $request->integer('seen'));
    }

    public function destroy(Channel $channel, ScriptRow $script, #[CurrentUser] User $user): RedirectResponse
    {
        $this->history->change(
            $channel,
            new Scripts,
            $script->stable_id,
            $user,
            null,
            static fn () => (new Scripts)->put($channel, $script->stable_id, null),
        );

        return redirect()->route('rehearse.scripts', $channel)->with('notice', "{$script->title} is deleted.");
    }

    /** A tried chat, kept as a script. */
    public function fromChat(
        Request $request,
        Channel $channel,
        TryChat $try,
        #[CurrentUser] User $user,
    ): Response|View {
        $state = TryState::read($request, $channel->seed);
        [$draft, $row] = TryController::draft($request, $channel);
        abort_if($state->lines === [], 422);
        $title = mb_substr($state->lines[0]->text, 0, 60).', '.now($channel->zone)->format('j M H:i');
        $script = $try->script($channel, $state, $title, $draft?->command, $row?->trigger);
        $kept = new Script((string) Str::ulid(), $title, ScriptYaml::of($script));
        $problem = ScriptRoom::problem($channel, $kept);

        return $problem !== null
            ? view('rehearse.partials.refused', ['problem' => $problem])
            : response('', headers: ['HX-Redirect' => $this->keep($channel, $kept, $user, null)->getTargetUrl()]);
    }

    /** What is said now to one of its lines is right from now on. */
    public function accept(
        Request $request,
        Channel $channel,
        ScriptRow $script,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        [$read] = ScriptFormat::read($script->text, $this->assembler->pack($channel));
        $part = $request->integer('part');
        if ($read === null || ! isset($read->parts[$part])) {
            return redirect()->route('rehearse.scripts', ['channel' => $channel, 'script' => $script]);
        }
        $accepted = AcceptedAnswer::in($read, $part, $this->runs->one($channel, $read));
        $text = AcceptedAnswer::heading($script->text).ScriptYaml::of($accepted);
        $kept = new Script($script->stable_id, $script->title, $text);
        $problem = ScriptRoom::problem($channel, $kept);

        return $problem !== null
            ? redirect()
                ->route('rehearse.scripts', ['channel' => $channel, 'script' => $script])
                ->withErrors(['text' => $problem])
            : $this->keep($channel, $kept, $user, null);
    }

    /** One of its lines into Write, with its command: the chat there begins with it, as it was heard. */
    public function take(Request $request, Channel $channel, ScriptRow $script, TakenLines $taken): RedirectResponse
    {
        [$read] = ScriptFormat::read($script->text, $this->assembler->pack($channel));
        $result = $read === null ? null : $this->runs->one($channel, $read);
        $heard = $result?->of($request->integer('part'))[0] ?? null;
        $line = $heard?->event?->line();
        if ($result === null || $heard === null || $line === null) {
            return redirect()->route('rehearse.scripts', ['channel' => $channel, 'script' => $script]);
        }
        $number = $taken->keep($channel, new TakenLine(
            0,
            $line->by,
            $line->text,
            $line->at,
            $line->key,
            $result->script->seed,
            $line->isWhisper,
            $result->memory($request->integer('part')),
            $result->told($request->integer('part')),
        ));
        $command = $channel
            ->commands()
            ->where('trigger_folded', Fold::caseless($heard->outcome->command->trigger ?? ''))
            ->first();

        return $command === null
            ? redirect()->route('write', ['channel' => $channel, 'line' => $number])
            : redirect()->route('write.command', ['channel' => $channel, 'command' => $command, 'line' => $number]);
    }

    private function keep(Channel $channel, Script $script, User $user, ?int $seen): RedirectResponse
    {
        $this->history->change(
            $channel,
            new Scripts,
            $script->id,
            $user,
            $seen,
            static fn () => $channel->scripts()->updateOrCreate(
                ['stable_id' => $script->id],
                ScriptRow::columns($script),
            ),
        );
        $number = $channel->scripts()->where('stable_id', $script->id)->value('id');

        return redirect()->route('rehearse.scripts', ['channel' => $channel, 'script' => $number])
            ->with('notice', 'The script is saved.');
    }

    /** @return array<string, mixed> */
    private function ran(Channel $channel, string $text): array
    {
        [$script, $findings] = ScriptFormat::read($text, $this->assembler->pack($channel));

        return [
            'result' => $script === null || $findings !== [] ? null : $this->runs->one($channel, $script, true),
            'findings' => $findings,
        ];
    }

    /** @return array<int, string> by number */
    private static function triggers(Channel $channel): array
    {
        /** @var array<int, string> $triggers */
        $triggers = $channel->commands()->whereNot('trigger', '')->orderBy('trigger')->pluck('trigger', 'id')->all();

        return $triggers;
    }

    /** @return array{trigger: string, list: list<Suggestion>, missing: list<Coverable>} */
    private function suggested(Channel $channel, CommandRow $row): array
    {
        $pack = $this->assembler->pack($channel);
        $command = $pack->command($row->trigger) ?? CommandRepository::toCore($row);
        $suggestions = new Suggestions(
            $pack,
            $this->memory->copy($channel),
            $channel->profile(),
            $this->wording,
            $command,
            Moment::of(now()->startOfMinute()),
            $channel->seed,
        );

        return ['trigger' => $row->trigger, 'list' => $suggestions->all(), 'missing' => $suggestions->missing()];
    }

    /** What a new script begins with. */
    private static function sample(Channel $channel): string
    {
        $member = $channel->castMembers()->orderBy('id')->skip(1)->first();
        $command = $channel->commands()->orderBy('id')->first();
        $by = $member->login ?? 'tamsin';
        $trigger = $command->trigger ?? '!hello';

        return 'format: '.ReadScript::FORMAT."\nversion: 1\ntitle: \"$trigger says what it should\"\n"
            ."start:\n  seed: \"{$channel->seed}\"\n  channel: {live: true}\n"
            ."chat:\n  - line: |-\n      +0s $by: $trigger\n    expect:\n      - within: 5\n"
            ."expect:\n  - share: 60\n";
    }
}
