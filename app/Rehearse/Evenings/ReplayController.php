<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\User;
use App\Publish\Editions;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use SilverParrot\Chat\Zones;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\Replay\Forms\TableForm;
use SilverParrot\Rehearsal\Replay\LogForms;
use SilverParrot\Value\Moment;

/** A chat log is brought in parts, looked at, and heard against the draft. */
final readonly class ReplayController
{
    /** Lines that are looked at before it is heard. */
    private const LOOKED_AT = 300;

    private const SHOWN = 8;

    public function __construct(private Evenings $evenings)
    {
    }

    public function index(Request $request, Channel $channel, Editions $editions, #[CurrentUser] User $user): View
    {
        $file = LogFiles::waiting($channel, $user);
        $lines = LogFiles::first($file, self::LOOKED_AT);
        $chosen = $request->string('form')->value();
        $form = LogForms::named($chosen) === null ? LogForms::recognise($lines) : $chosen;

        return view('rehearse.replay', [
            'channel' => $channel,
            'isWaiting' => $lines !== [],
            'bytes' => $lines === [] ? 0 : (int) filesize($file),
            'form' => $form,
            'plan' => $plan = self::plan($request, $channel, $form, ''),
            'columns' => $form === TableForm::key()
                ? array_map(TableForm::columns(...), array_slice($lines, 0, self::SHOWN))
                : [],
            'looked' => $form === null ? null : self::look($plan, $lines),
            'lines' => array_slice($lines, 0, self::SHOWN),
            'hasEdition' => $editions->onAir($channel, true) !== null,
            'rehearsals' => EveningsController::listed($channel),
        ]);
    }

    /** One part of a file; the page sends them one after the other. */
    public function part(Request $request, Channel $channel, #[CurrentUser] User $user): JsonResponse|RedirectResponse
    {
        $part = $request->file('part');
        $isWhole = ! $request->expectsJson();
        $back = redirect()->route('rehearse.replay', $channel);
        if (! $part instanceof UploadedFile || ! $part->isValid()) {
            $why = 'Choose a file; without scripts in the page, of at most 4 MB.';

            return $isWhole ? $back->withErrors(['part' => $why]) : response()->json(['problem' => $why], 422);
        }
        $there = LogFiles::add(
            LogFiles::waiting($channel, $user),
            (string) $part->get(),
            $isWhole ? 0 : max(0, $request->integer('from')),
        );
        if ($there === null) {
            $why = 'A log has at most 200 MB. Send it again from its beginning.';

            return $isWhole ? $back->withErrors(['part' => $why]) : response()->json(['problem' => $why], 422);
        }

        return $isWhole ? $back : response()->json(['there' => $there]);
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $waiting = LogFiles::waiting($channel, $user);
        $lines = LogFiles::first($waiting, self::LOOKED_AT);
        $form = $request->string('form')->value();
        $name = mb_substr($request->string('name')->trim()->value(), 0, 100);
        $plan = self::plan($request, $channel, LogForms::named($form) === null ? null : $form, $name);
        $first = null;
        foreach ($lines === [] || $plan->form === '' ? [] : $plan->reader([])->lines($lines) as $line) {
            $first ??= $line->at;
        }
        if ($first === null) {
            return redirect()->route('rehearse.replay', $channel)->withErrors([
                'form' => 'No line of it can be read so: choose another form.',
            ]);
        }
        $bytes = (int) filesize($waiting);
        if (! LogFiles::hasRoom($channel, $bytes)) {
            return redirect()->route('rehearse.replay', $channel)->withErrors([
                'form' => 'The logs of this channel fill 1 GB: delete a rehearsal of one first.',
            ]);
        }
        $looked = max(1, array_sum(array_map(strlen(...), $lines)) + count($lines));
        $about = (int) round($bytes / ($looked / count($lines)));
        $kept = LogFiles::take($channel, $user);
        $row = $this->evenings->begin($channel, $user, new EveningPlan(
            new CrowdDescription(1, 1, max(1, $about)),
            $channel->seed,
            new Moment($first->millis),
            1,
            $request->string('of')->value() === 'edition',
            new ReplayPlan(
                $kept,
                $plan->name === '' ? 'A chat log' : $plan->name,
                $plan->form,
                $plan->columns,
                $plan->zone,
                $plan->day,
                $plan->isNameless,
                $about,
            ),
        ));

        if ($row === null) {
            LogFiles::giveBack($channel, $user, $kept);

            return redirect()->route('rehearse.replay', $channel)->withErrors([
                'form' => 'So many rehearsals are under way already: wait for one, or stop it.',
            ]);
        }

        return redirect()->route('rehearse.evening', [$channel, $row]);
    }

    /** The air's own log, answer beside answer. */
    public function night(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $row = $this->evenings->begin($channel, $user, new EveningPlan(
            new CrowdDescription(1, 1, 1),
            $channel->seed,
            Moment::of(now()),
            nightHours: max(1, min(LastNight::MOST_HOURS, $request->integer('hours', 12))),
        ));

        return $row === null
            ? redirect()->route('rehearse.replay', $channel)->withErrors([
                'hours' => 'So many rehearsals are under way already: wait for one, or stop it.',
            ])
            : redirect()->route('rehearse.evening', [$channel, $row]);
    }

    private static function plan(Request $request, Channel $channel, ?string $form, string $name): ReplayPlan
    {
        $zone = $request->string('zone')->value();
        $day = DateTimeImmutable::createFromFormat('!Y-m-d', mb_substr($request->string('day')->value(), 0, 10));
        $day = $day === false ? now($channel->zone)->toDateTimeImmutable() : $day;
        $column = static fn (string $of, int $usual): int => max(0, min(99, $request->integer($of, $usual)));

        return new ReplayPlan(
            '',
            $name,
            $form ?? '',
            $form === TableForm::key() ? [$column('time', 0), $column('who', 1), $column('text', 2)] : null,
            Zones::isKnown($zone) ? $zone : $channel->zone,
            [(int) $day->format('Y'), (int) $day->format('n'), (int) $day->format('j')],
            $request->boolean('nameless'),
            0,
        );
    }

    /**
     * @param  list<string>  $lines
     * @return array{read: list<array{string, string, string}>, count: int, unread: int,
     *     shown: list<array{int, string}>}
     */
    private static function look(ReplayPlan $plan, array $lines): array
    {
        $reader = $plan->reader([]);
        $read = [];
        foreach ($reader->lines($lines) as $line) {
            if (count($read) < self::SHOWN) {
                $read[] = [
                    $line->at->in(new DateTimeZone($plan->zone))->format('j M Y, H:i:s'),
                    $line->by->name,
                    $line->text,
                ];
            }
        }

        return ['read' => $read, 'count' => $reader->read, 'unread' => $reader->unread, 'shown' => $reader->shown];
    }
}
