<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\RehearsalRow;
use App\Models\User;
use App\Publish\Editions;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Figures\EveningReport;
use SilverParrot\Rehearsal\Crowd\CrowdPreset;
use SilverParrot\Rehearsal\RehearsalKind;
use SilverParrot\Source\Fold;

/** Evenings with a crowd: what it is like, how far it is, and the picture of what it came to. */
final readonly class EveningsController
{
    /** Rehearsals that stand on the page. */
    private const LISTED = 12;

    /** Moments of a page of the table. */
    private const ROWS = 50;

    public function __construct(private Evenings $evenings)
    {
    }

    public function index(Request $request, Channel $channel, Editions $editions): View
    {
        $preset = CrowdPreset::tryFrom($request->string('crowd')->value());
        $again = $channel->rehearsals()->find($request->integer('like'));
        $plan = $again === null ? null : EveningPlan::of($again->options);

        return view('rehearse.crowd', [
            'channel' => $channel,
            'crowd' => $plan->crowd ?? ($preset ?? CrowdPreset::Busy)->description(),
            'plan' => $plan,
            'hasEdition' => $editions->onAir($channel, true) !== null,
            'rehearsals' => self::listed($channel),
        ]);
    }

    public function store(CrowdRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $row = $this->evenings->begin($channel, $user, $request->plan($channel));

        return $row === null
            ? redirect()->back()->withInput()->withErrors([
                'seeds' => 'So many rehearsals are under way already: wait for one, or stop it.',
            ])
            : redirect()->route('rehearse.evening', [$channel, $row]);
    }

    public function show(Request $request, Channel $channel, RehearsalRow $rehearsal): View
    {
        if ($rehearsal->kind === RehearsalKind::Night) {
            return view('rehearse.night', ['channel' => $channel, 'row' => $rehearsal]);
        }

        return view('rehearse.evening', [
            'channel' => $channel,
            'row' => $rehearsal,
            'others' => $channel
                ->rehearsals()
                ->select(['id', 'title', 'options', 'created_at'])
                ->whereNot('kind', RehearsalKind::Night)
                ->whereKeyNot($rehearsal->id)
                ->whereNotNull('result')
                ->orderByDesc('id')
                ->limit(self::LISTED)
                ->get(),
            'beside' => BesideEvening::of($rehearsal, $channel->rehearsals()->find($request->integer('beside'))),
        ] + $this->drawn($request, $channel, $rehearsal));
    }

    /** The picture alone, as it is zoomed and filtered. */
    public function picture(Request $request, Channel $channel, RehearsalRow $rehearsal): View
    {
        abort_unless($rehearsal->isDrawn(), 404);

        return view('rehearse.partials.picture', ['channel' => $channel, 'row' => $rehearsal] + $this->drawn(
            $request,
            $channel,
            $rehearsal,
        ));
    }

    /** One of its moments, heard again, with its why. */
    public function moment(Channel $channel, RehearsalRow $rehearsal, string $mark): View
    {
        $mark = MarkRows::find($rehearsal, (int) $mark);
        abort_if($mark === null, 404);

        return view('rehearse.partials.moment', [
            'channel' => $channel,
            'row' => $rehearsal,
            'mark' => $mark,
            'heard' => $this->evenings->moment($channel, $rehearsal, $mark)?->heard,
            'clock' => EveningClock::of($rehearsal, $channel->zone),
        ]);
    }

    /** Into Write, with its command: the chat there begins with it, as it was heard. */
    public function take(Request $request, Channel $channel, RehearsalRow $rehearsal): RedirectResponse
    {
        $mark = MarkRows::find($rehearsal, $request->integer('mark'));
        abort_if($mark === null, 404);
        $lane = is_array($rehearsal->result['lanes'] ?? null) ? $rehearsal->result['lanes'][$mark->lane] ?? [] : [];
        $trigger = is_array($lane) && is_string($lane['command'] ?? null) ? $lane['command'] : '';
        $command = $channel->commands()->where('trigger_folded', Fold::caseless($trigger))->first();

        return $command === null
            ? redirect()->route('write', ['channel' => $channel, 'line' => -$mark->id])
            : redirect()->route('write.command', ['channel' => $channel, 'command' => $command, 'line' => -$mark->id]);
    }

    public function stop(Channel $channel, RehearsalRow $rehearsal): RedirectResponse
    {
        $this->evenings->stop($rehearsal);

        return redirect()->route('rehearse.evening', [$channel, $rehearsal]);
    }

    public function destroy(Channel $channel, RehearsalRow $rehearsal): RedirectResponse
    {
        $this->evenings->forget($rehearsal);

        return redirect()->route('rehearse.crowd', $channel)->with('notice', 'The rehearsal is deleted.');
    }

    /** The whole report, to keep or to print. */
    public function report(Request $request, Channel $channel, RehearsalRow $rehearsal): Response|View
    {
        abort_unless($rehearsal->isDrawn(), 404);
        $figures = ['format' => EveningReport::FORMAT, 'version' => EveningReport::VERSION]
            + EveningPicture::without($rehearsal->result ?? []);
        if ($request->query('as') === 'page') {
            return view('rehearse.report', ['report' => $figures, 'title' => $rehearsal->title]);
        }
        $runs = SeveralEvenings::reported($rehearsal);
        // As the command line writes it, to the byte.
        $report = $runs === []
            ? $this->evenings->report($channel, $rehearsal) ?? $figures
            : ['runs' => $runs, 'ranges' => $rehearsal->result['ranges'] ?? []];

        return response(EveningReport::written($report), headers: ['Content-Type' => 'application/json']);
    }

    /** @return array<string, mixed> */
    private function drawn(Request $request, Channel $channel, RehearsalRow $row): array
    {
        if (! $row->isDrawn()) {
            return ['view' => null, 'drawing' => null, 'rows' => [], 'clock' => null];
        }
        $length = is_int($row->result['length'] ?? null) ? $row->result['length'] : 1;
        $view = PictureView::read($request, $length);
        $clock = EveningClock::of($row, $channel->zone);

        return [
            'view' => $view,
            'drawing' => EveningDrawing::of($row, $view, $clock, $channel->profile()),
            'clock' => $clock,
            'rows' => MarkRows::all($view->filtered(MarkRows::of($row))->limit(self::ROWS)),
        ];
    }

    /** @return Collection<int, RehearsalRow> without what is large */
    public static function listed(Channel $channel): Collection
    {
        return $channel
            ->rehearsals()
            ->select(['id', 'channel_id', 'kind', 'title', 'options', 'state', 'trouble', 'created_at'])
            ->orderByDesc('id')
            ->limit(self::LISTED)
            ->get();
    }
}
