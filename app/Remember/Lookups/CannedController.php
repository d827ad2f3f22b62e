<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Models\Channel;
use App\Models\LookupRow;
use App\Web\RecordedAnswer;
use App\Web\RecordedAnswers;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\Trouble;

/** Canned results of a look-up: kept under a name, written anew, chosen; and the trouble that its source is in. */
final readonly class CannedController
{
    /** Seconds that a source may be made to take; beyond the deadline it is all the same. */
    public const SLOWEST = 60;

    public function __construct(
        private RecordedAnswers $recorded,
        private CannedLines $lines,
    ) {
    }

    /** How the source is in rehearsals: as it was recorded, slow, or in trouble. */
    public function rehearse(Request $request, Channel $channel, string $stable): View
    {
        $row = $this->row($channel, $stable);
        $how = $request->string('how')->value();
        $trouble = Trouble::tryFrom($how);
        $row->update([
            'rehearsed_trouble' => in_array($trouble, Trouble::onDemand(), true) ? $trouble : null,
            'rehearsed_slow' => $how === 'slow'
                ? max(1, min(self::SLOWEST, $request->integer('slow', CannedAnswers::DEADLINE + 1)))
                : 0,
        ]);

        return $this->told($request, $channel);
    }

    /** One like another, under a name of its own, and from now on in its place. */
    public function store(Request $request, Channel $channel, string $stable): View
    {
        $row = $this->row($channel, $stable);
        $lookup = $row->lookup();
        $of = $this->recorded->find($channel->id, $lookup, $request->integer('id')) ?? abort(404);
        $typed = CannedForm::read($request, $of->canned, $lookup->format);
        $problem = $typed->problem !== '' ? $typed->problem : $this->noRoom($channel, $row);
        if ($problem !== '') {
            return $this->answered($request, $channel, $row, $of, $typed, $problem);
        }
        $canned = $typed->canned;
        $this->recorded->put(
            $channel->id,
            $stable,
            $canned,
            // What was too large to be kept is known by its values alone.
            $canned->answer instanceof Answer && $canned->answer->body === '' ? $of->canned->read : null,
        );
        if (! $of->isReal() && $of->canned->name !== $canned->name) {
            $this->recorded->drop($channel->id, $stable, $of->id);
        }
        [$kept] = $this->recorded->ofOne($channel->id, $lookup, 1);
        $this->recorded->choose($channel->id, $stable, $kept->id);

        return $this->answered($request, $channel, $row, $kept, null, '');
    }

    private function noRoom(Channel $channel, LookupRow $row): string
    {
        $named = array_filter(
            $this->recorded->ofOne($channel->id, $row->lookup(), 1_000),
            static fn (RecordedAnswer $one): bool => ! $one->isReal(),
        );

        return count($named) < RecordedAnswers::MOST_NAMED ? '' : 'There is no room for more of these.';
    }

    /** @param  CannedForm|null  $typed  what has a problem, to be typed on */
    private function answered(
        Request $request,
        Channel $channel,
        LookupRow $row,
        RecordedAnswer $recorded,
        ?CannedForm $typed,
        string $problem,
    ): View {
        $fields = LookupFields::of($request, $channel);

        return view('remember.lookups.answer', [
            'channel' => $channel,
            'lookup' => $fields->lookup,
            'row' => $row,
            'host' => '',
            'answer' => $typed->canned->answer ?? $recorded->canned->answer,
            'millis' => 0,
            'recorded' => $recorded,
            'writing' => $typed?->canned,
            'problem' => $problem,
            'values' => CannedLines::ofAnswer($channel, $fields->lookup, $recorded->canned, $fields->pathProblems()),
            'lines' => $this->lines->of($channel, $fields->lookup, $fields->pathProblems()),
        ]);
    }

    public function choose(Request $request, Channel $channel, string $stable): View
    {
        $this->recorded->choose($channel->id, $this->row($channel, $stable)->stable_id, $request->integer('id'));

        return $this->told($request, $channel);
    }

    public function destroy(Request $request, Channel $channel, string $stable): View
    {
        $this->recorded->drop($channel->id, $this->row($channel, $stable)->stable_id, $request->integer('id'));

        return $this->told($request, $channel);
    }

    private function told(Request $request, Channel $channel): View
    {
        $fields = LookupFields::of($request, $channel);

        return view('remember.lookups.canned', [
            'channel' => $channel,
            'row' => $fields->row?->refresh(),
            'lookup' => $fields->lookup,
            'lines' => $this->lines->of($channel, $fields->lookup, $fields->pathProblems()),
        ]);
    }

    private function row(Channel $channel, string $stable): LookupRow
    {
        return $channel->lookups()->where('stable_id', $stable)->first() ?? abort(404);
    }
}
