<?php

declare(strict_types=1);

namespace App\Publish;

use App\Accounts\FirstStep;
use App\Air\Log;
use App\Air\LogEntry;
use App\Air\Streams\Grant;
use App\Air\Streams\Token;
use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use SilverParrot\Hearing\LineMatch;

/** The real chat: watched, written in as one of the harbour's people, and each line with its why. */
final readonly class ChatController
{
    private const SHOWN = 60;

    public function __construct(private Log $log, private HarbourTown $harbour)
    {
    }

    public function index(Request $request, Channel $channel, LineReruns $rehear, Assembler $assembler): View
    {
        $chosen = $request->integer('line') > 0 ? $this->log->line($channel->id, $request->integer('line')) : null;
        $find = mb_substr($request->string('find')->trim()->value(), 0, 200);
        $before = $request->integer('before');
        $isUnanswered = $request->boolean('unanswered');
        $lines = match (true) {
            $find !== '' => $this->log->find($channel->id, $find, self::SHOWN),
            $isUnanswered => $this->log->unanswered($channel->id, self::SHOWN),
            $before > 0 => $this->log->before($channel->id, $before, self::SHOWN),
            default => $this->log->last($channel->id, self::SHOWN),
        };
        $shown = [
            'channel' => $channel,
            'lines' => $lines,
            'hasOlder' => $find === '' && ! $isUnanswered && count($lines) === self::SHOWN,
            'chosen' => $chosen,
        ];
        if ($before > 0 && $request->hasHeader('HX-Request')) {
            return view('publish.partials.lines', $shown);
        }

        return view(
            'publish.chat',
            $shown + [
                'find' => $find,
                'isUnanswered' => $isUnanswered,
                'isNow' => $find === '' && ! $isUnanswered && $before <= 0,
                'harbour' => $channel->chat_server === null ? $this->harbour->look($channel) : null,
            ] + ($chosen === null ? [] : self::why($channel, $chosen, $rehear, $assembler)),
        );
    }

    /** For a page that cannot read along with the stream. */
    public function lines(Request $request, Channel $channel): JsonResponse
    {
        $zone = new \DateTimeZone($channel->zone);

        return response()->json(
            array_map(
                static fn (LogEntry $line): array => $line->told($zone),
                $this->log->last($channel->id, self::SHOWN, $request->integer('after')),
            ),
        );
    }

    /** Where this person may read along for now. */
    public function stream(
        Request $request,
        Channel $channel,
        Repository $config,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return response()->json([
            'url' => self::streamAddress($request, $config)
                .'/stream?token='
                .rawurlencode(
                    Token::issue(
                        $user->id,
                        $channel->id,
                        Grant::of($request->session()->getId(), $user->id),
                        now()->getTimestamp(),
                        $config->string('app.key'),
                    ),
                ),
        ]);
    }

    public static function streamAddress(Request $request, Repository $config): string
    {
        return rtrim($config->string('air.stream_url'), '/')
            ?: 'http://'.$request->getHost().':'.$config->integer('air.stream_port');
    }

    public function show(Channel $channel, int $number, LineReruns $rehear, Assembler $assembler): View|Response
    {
        $line = $this->log->line($channel->id, $number);

        return $line === null
            ? response(view('publish.partials.forgotten'), Response::HTTP_NOT_FOUND)
            : view(
                'publish.partials.why',
                ['channel' => $channel, 'line' => $line] + self::why($channel, $line, $rehear, $assembler),
            );
    }

    /** Both whys of a line that a draft would answer differently. */
    public function twice(Channel $channel, int $number, LineReruns $rehear): View|Response
    {
        $line = $this->log->line($channel->id, $number);
        $twice = $line === null ? null : $rehear->twice($channel, $line);

        return $twice === null ? response(view('publish.partials.forgotten'), Response::HTTP_NOT_FOUND)
            : view('publish.partials.twice', ['channel' => $channel, 'twice' => $twice]);
    }

    /** @throws ValidationException beside the line */
    public function say(
        LineRequest $request,
        Channel $channel,
        #[CurrentUser] User $user,
    ): Response|RedirectResponse {
        $problem = match (true) {
            $channel->chat_server !== null => 'This channel’s chat is not the harbour’s: write in it there.',
            ! $this->harbour->say(
                $channel,
                $request->as(),
                $request->text(),
                $request->boolean('whisper'),
            ) => 'The harbour did not take it: it is not running, or knows nobody of that name.',
            default => '',
        };
        if ($problem !== '') {
            throw ValidationException::withMessages(['text' => $problem]);
        }
        FirstStep::SeeIt->take($user);

        return $request->expectsJson()
            ? response()->noContent()
            : redirect()->route('publish.chat', $channel)->withInput($request->only('as', 'whisper'));
    }

    /** @throws ValidationException beside the form */
    public function harbour(HarbourRequest $request, Channel $channel): RedirectResponse
    {
        $done = match ($request->what()) {
            'pace' => $this->harbour->pace($request->integer('pace')),
            'stream' => $this->harbour->change($channel, [
                'live' => $request->boolean('live'),
                'category' => $request->string('category')->value(),
                'title' => $request->string('title')->value(),
            ]),
            default => $this->harbour->trouble($request->string('trouble')->value(), $request->integer('seconds')),
        };
        if (! $done) {
            throw ValidationException::withMessages(['harbour' => 'The harbour did not take it: is it running?']);
        }

        return redirect()->route('publish.chat', $channel)->with('notice', 'Done.');
    }

    /** @return array<string, mixed> */
    private static function why(Channel $channel, LogEntry $line, LineReruns $rehear, Assembler $assembler): array
    {
        $heard = $line->isHeard() ? $rehear->why($channel, $line) : null;
        $trigger =
            $heard === null
                ? null
                : LineMatch::in($assembler->reachedBy($channel, [$line->text]), $line->text)?->command->trigger;

        return [
            'outcome' => $heard,
            'deliveries' => Deliveries::to($channel, $line),
            // Where it can be taken up: with the command of the draft that it sets off, or with a new one.
            'command' => $trigger === null ? null : $channel->commands()->where('trigger', $trigger)->first(),
        ];
    }
}
