<?php

declare(strict_types=1);

namespace App\Remember\Plan;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\StreamPlans;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use SilverParrot\Document\Document;
use SilverParrot\Format\PlanFormat;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** The weekly plan of streams: as a calendar of the coming weeks, with days off and streams besides. */
final readonly class PlanController
{
    private const WEEKS = 5;

    public function __construct(private DefinitionHistory $history)
    {
    }

    public function index(Channel $channel): View
    {
        [$plan, $core, $now] = [self::plan($channel), Assembler::channel($channel), Moment::of(now())];
        $next = $plan->next($now, $core->zone);
        $today = $now->in($core->zone)->setTime(0, 0);
        $first = $today->modify('monday this week');
        $on = [];
        foreach ($plan->from(Moment::of($first), $core->zone, self::WEEKS * 7) as [$begins, $stream]) {
            $on[$begins->in($core->zone)->format('Y-m-d')][] = [$begins->in($core->zone)->format('H:i'), $stream];
        }
        $printer = new Printer($core);
        $until = $next === null ? null : TimeSpan::between($now, $next);

        return view('remember.plan', [
            'channel' => $channel,
            'plan' => $plan,
            'first' => $first,
            'today' => $today->format('Y-m-d'),
            'weeks' => self::WEEKS,
            'on' => $on,
            'off' => self::singlesOff($plan),
            'next' => $next === null || $until === null
                ? ''
                : "The next stream begins {$printer->print($next)}, in {$printer->print($until)}.",
        ]);
    }

    public function store(PlannedStreamRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $plan = self::plan($channel);

        return $this->keep(
            $channel,
            $user,
            new StreamPlan([...$plan->streams, $request->stream()], $plan->daysOff),
            'It is in the plan; publish it to put it on the air.',
        );
    }

    public function destroy(Channel $channel, int $number, #[CurrentUser] User $user): RedirectResponse
    {
        $plan = self::plan($channel);
        $left = array_values(array_diff_key($plan->streams, [$number => true]));

        return $this->keep($channel, $user, new StreamPlan($left, $plan->daysOff), 'It is out of the plan.');
    }

    /** A day off, or one stream of it; or on again. */
    public function day(
        Request $request,
        Channel $channel,
        string $day,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $time = $request->string('at')->value();
        $isTime = preg_match('/^(?:[01]\d|2[0-3]):[0-5]\d$/D', $time) === 1;
        abort_if(Moment::fromIso($day) === null || ($time !== '' && ! $isTime), Response::HTTP_NOT_FOUND);
        $plan = self::plan($channel);
        $one = $time === '' ? $day : "$day $time";
        $isOff = in_array($one, $plan->daysOff, true);
        $off = $isOff ? array_values(array_diff($plan->daysOff, [$one])) : [...$plan->daysOff, $one];
        sort($off);

        return $this->keep(
            $channel,
            $user,
            new StreamPlan($plan->streams, array_slice($off, -StreamPlan::MOST)),
            ($time === '' ? 'That day' : 'That stream').($isOff ? ' is on again.' : ' is off.'),
        );
    }

    public function give(Channel $channel): Response
    {
        return response(
            ICalendar::write(self::plan($channel), Assembler::channel($channel), Moment::of(now())),
            headers: [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="plan.ics"',
            ],
        );
    }

    public function bring(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $file = $request->file('calendar');
        $text = $file instanceof UploadedFile && $file->isValid()
            ? (string) file_get_contents($file->getPathname(), length: ICalendar::BYTES + 1)
            : '';
        $plan = ICalendar::read(mb_scrub($text), Assembler::channel($channel), Moment::of(now()));
        if (is_string($plan)) {
            return redirect()->route('remember.plan', $channel)->withErrors(['calendar' => $plan]);
        }
        $count = count($plan->streams);

        return $this->keep(
            $channel,
            $user,
            $plan,
            ($count === 1 ? 'One stream stands' : "$count streams stand").' in the plan now; what was there is gone.',
        );
    }

    private function keep(Channel $channel, User $user, StreamPlan $plan, string $notice): RedirectResponse
    {
        $document = PlanFormat::write($plan);
        $this->history->change(
            $channel,
            new StreamPlans,
            '',
            $user,
            null,
            static fn () => $channel->update(['plan' => $document === [] ? null : $document]),
        );

        return redirect()->route('remember.plan', $channel)->with('notice', $notice);
    }

    /** @return array<string, list<string>> times of single streams that are off, by day */
    private static function singlesOff(StreamPlan $plan): array
    {
        $off = [];
        foreach ($plan->daysOff as $one) {
            if (strlen($one) > 10) {
                $off[substr($one, 0, 10)][] = substr($one, 11);
            }
        }

        return $off;
    }

    private static function plan(Channel $channel): StreamPlan
    {
        return PlanFormat::read(Document::of($channel->plan ?? []));
    }
}
