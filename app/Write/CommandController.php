<?php

declare(strict_types=1);

namespace App\Write;

use App\Accounts\FirstStep;
use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\StaleRevision;
use App\Storage\TriggerTaken;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Sample;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\WorkedExample;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;

/** One command's page. */
final readonly class CommandController
{
    public function __construct(private CommandRepository $rows, private CommandPage $page, private CommandList $list)
    {
    }

    public function create(Request $request, Channel $channel, Assembler $assembler): View
    {
        $sample = Sample::tryFrom($request->string('sample')->value());
        $example = WorkedExample::tryFrom($request->string('example')->value());
        $names = $assembler->names($channel);
        $phrase = mb_substr($request->string('phrase')->trim()->value(), 0, 200);
        $reply = mb_substr($request->string('reply')->value(), 0, 500);

        // Kind starting values: 10 s for the channel, 60 s for a person.
        return $this->page->view(
            $channel,
            null,
            match (true) {
                $sample !== null => $sample->command($names),
                $phrase !== '' => self::saidAs($phrase, $reply),
                default => Say::on('!', $example?->response($names) ?? ''),
            },
            line: $request->integer('line'),
        );
    }

    /** It has no trigger until its author thinks of one, and is called by the words of its phrase. */
    private static function saidAs(string $phrase, string $reply): Command
    {
        $name = trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $phrase));

        return new Command(
            new Triggers(mb_substr($name, 0, 40), [], [new Phrase($phrase)], isNameOnly: true),
            [Say::response($reply)],
        );
    }

    public function edit(Request $request, Channel $channel, CommandRow $command): View
    {
        return $this->page->view(
            $channel,
            $command,
            CommandRepository::toCore($command),
            line: $request->integer('line'),
        );
    }

    public function store(
        Request $request,
        Channel $channel,
        #[CurrentUser] User $user,
    ): Response|RedirectResponse|JsonResponse {
        return $this->save($request, $channel, null, $user);
    }

    public function update(
        Request $request,
        Channel $channel,
        CommandRow $command,
        #[CurrentUser] User $user,
    ): Response|RedirectResponse|JsonResponse {
        return $this->save($request, $channel, $command, $user);
    }

    public function switch(
        Request $request,
        Channel $channel,
        CommandRow $command,
        #[CurrentUser] User $user,
    ): View|RedirectResponse {
        $core = CommandRepository::toCore($command);
        $notice = "{$command->trigger} is switched ".($core->isOn() ? 'off.' : 'on.');
        try {
            $switched = $core->gated(new Enabled(! $core->isOn()));
            $this->rows->save($channel, $command, $switched, $user, $command->revision);
        } catch (StaleRevision) {
            $notice = "Somebody saved {$command->trigger} at this moment; look at it and press again.";
        }

        return $this->list->after($request, $channel, $notice);
    }

    public function duplicate(Channel $channel, CommandRow $command): View
    {
        return $this->page->view($channel, null, CommandRepository::toCore($command)->copied());
    }

    public function destroy(
        Request $request,
        Channel $channel,
        CommandRow $command,
        #[CurrentUser] User $user,
    ): View|RedirectResponse {
        $change = $this->rows->drop($command, $user);

        return $this->list->after(
            $request,
            $channel,
            "{$command->trigger} was deleted.",
            route('write.undo', [$channel, $change]),
        );
    }

    private function save(
        Request $request,
        Channel $channel,
        ?CommandRow $row,
        User $user,
    ): Response|RedirectResponse|JsonResponse {
        $form = CommandForm::read($request);
        $errors = $form->errors();
        $conflict = null;
        if ($errors === [] && $form->command->trigger !== '') {
            try {
                $saved = $this->rows->save($channel, $row, $form->command, $user, $request->integer('revision'));
                FirstStep::Write->take($user);
                FirstStep::Save->take($user);

                return $request->expectsJson()
                    ? response()->json($this->page->saved($channel, $saved))
                    : redirect()
                        ->route('write.command', [$channel, $saved])
                        ->with('saved', true)
                        ->with('notice', "{$saved->trigger} is saved.");
            } catch (StaleRevision $meanwhile) {
                $conflict = $meanwhile;
            } catch (TriggerTaken $taken) {
                $errors = ['trigger' => [$taken->getMessage().' Choose another trigger.']];
            }
        }
        $status = $conflict === null ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_CONFLICT;
        if ($request->expectsJson()) {
            // The page sends the form off as it is, and shows what comes back.
            return response()->noContent($status);
        }

        return response($conflict === null
            ? $this->page
                ->view($channel, $row, $form->command, $errors, $request->integer('revision'))
                ->with('weights', $form->weights)
            : $this->page->conflict($channel, $row, $form->command, $conflict->theirs), $status);
    }
}
