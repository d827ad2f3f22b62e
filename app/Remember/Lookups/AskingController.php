<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use Amp\TimeoutCancellation;
use App\Models\Channel;
use App\Models\User;
use App\Web\RecordedAnswers;
use App\Web\WebClient;
use App\Web\WebLookups;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Lookup\Address\AddressRefusal;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Source\Wording;

/** A source is asked as the fields have it, saved or not; what came back is read as they say; and who may be asked. */
final readonly class AskingController
{
    /** Seconds that an answer may take. */
    private const SECONDS = 5.0;

    public function __construct(
        private Connection $connection,
        private Repository $config,
        private Wording $wording,
        private CannedLines $lines,
        private LookupsOverview $overview,
    ) {
    }

    /** The source is asked now. */
    public function ask(Request $request, Channel $channel): View
    {
        $fields = LookupFields::of($request, $channel);
        $arguments = $fields->arguments((array) $request->input('other'));
        $began = hrtime(true);
        $web = WebLookups::of(
            $this->connection,
            $channel->id,
            new WebClient($this->config->string('air.harbour')),
        );
        $answer = $this->cannotBeAsked($fields, $arguments) ?? $web->askNow(
            $fields->lookup,
            $arguments,
            new TimeoutCancellation(self::SECONDS),
            LookupForm::secrets($request),
        );

        return $this->answered($channel, $fields, $answer, $arguments, (int) ((hrtime(true) - $began) / 1e6));
    }

    /** What the paths in the fields lead to, in what was recorded. */
    public function try(Request $request, Channel $channel): View
    {
        $fields = LookupFields::of($request, $channel);
        $last = (new RecordedAnswers($this->connection))->last($channel->id, $fields->lookup);

        return view('remember.lookups.tried', [
            'channel' => $channel,
            'row' => $fields->row,
            'lookup' => $fields->lookup,
            'values' => CannedLines::ofAnswer(
                $channel,
                $fields->lookup,
                $last === null ? null : new CannedAnswer([], $last),
                $fields->pathProblems(),
            ),
            'lines' => $this->lines->of($channel, $fields->lookup, $fields->pathProblems()),
        ]);
    }

    /** One of the canned results, where else the last answer stands. */
    public function see(Request $request, Channel $channel): View
    {
        $fields = LookupFields::of($request, $channel);
        $recorded = (new RecordedAnswers($this->connection))
            ->find($channel->id, $fields->lookup, $request->integer('id'))
            ?? abort(404);

        return view('remember.lookups.answer', [
            'channel' => $channel,
            'lookup' => $fields->lookup,
            'host' => '',
            'answer' => $recorded->canned->answer,
            'millis' => 0,
            'recorded' => $recorded,
            'writing' => $request->boolean('edit') && $fields->row !== null ? $recorded->canned : null,
            'problem' => '',
            'row' => $fields->row,
            'values' => CannedLines::ofAnswer(
                $channel,
                $fields->lookup,
                $recorded->canned,
                $fields->pathProblems(),
            ),
        ]);
    }

    /** From the fields of a look-up, which need not be saved yet, it is asked at once and nothing typed is lost. */
    public function allow(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse|View
    {
        $host = WebAddress::of(
            "https://{$request->string('host')->value()}/",
            anyPort: true,
            known: [WebClient::HARBOUR],
        );
        if (! $host instanceof WebAddress) {
            return back()->with('notice', 'That host cannot be asked.');
        }
        $this->connection->table('allowed_hosts')->insertOrIgnore([
            'channel_id' => $channel->id,
            'host' => $host->allowedAs(),
            'user_id' => $user->id,
            'allowed_at' => now(),
        ]);

        return $request->has('address')
            ? $this->ask($request, $channel)->with(['hasAllowed' => true] + $this->overview->of($channel))
            : back()->with('notice', "{$host->allowedAs()} can be asked now.");
    }

    public function forbid(Request $request, Channel $channel): RedirectResponse
    {
        $host = mb_substr($request->string('host')->value(), 0, 260);
        $this->connection->table('allowed_hosts')->where('channel_id', $channel->id)->where('host', $host)->delete();

        return back()->with('notice', "$host is not asked any more.");
    }

    /**
     * Why nobody is asked, in a sentence.
     *
     * @param  array<string, string>  $arguments
     */
    private function cannotBeAsked(LookupFields $fields, array $arguments): ?string
    {
        $address = $fields->lookup->addressWith($arguments);
        $problem = $fields->form->problems['address'][0] ?? null;
        if ($problem !== null) {
            return $problem;
        }
        if ($address instanceof Parameter) {
            return "Give {$address->name} a sample that it may be.";
        }
        $judged = WebAddress::of($address, anyPort: true, known: [WebClient::HARBOUR]);

        return $judged instanceof AddressRefusal ? $this->wording->of($judged->message()) : null;
    }

    /** @param  array<string, string>  $arguments */
    private function answered(
        Channel $channel,
        LookupFields $fields,
        Answer|Trouble|string $answer,
        array $arguments,
        int $millis,
    ): View {
        return view('remember.lookups.answer', [
            'channel' => $channel,
            'lookup' => $fields->lookup,
            'row' => $fields->row,
            'host' => WebLookups::host((string) $fields->lookup->address->filled($arguments)),
            'answer' => $answer,
            'millis' => $millis,
            'recorded' => null,
            'values' => CannedLines::ofAnswer(
                $channel,
                $fields->lookup,
                $answer instanceof Answer ? new CannedAnswer([], $answer) : null,
                $fields->pathProblems(),
            ),
            'lines' => $this->lines->of($channel, $fields->lookup, $fields->pathProblems()),
        ]);
    }
}
