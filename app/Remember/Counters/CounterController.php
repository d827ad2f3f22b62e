<?php

declare(strict_types=1);

namespace App\Remember\Counters;

use App\Models\Channel;
use App\Remember\MemoryHistory;
use App\Remember\MemoryOverview;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Source\Fold;

/** One counter: its numbers, how they came to be, and putting them right. */
final readonly class CounterController
{
    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    public function __invoke(
        Request $request,
        Channel $channel,
        string $stable,
        MemoryOverview $remembered,
        CounterLine $line,
        MemoryHistory $history,
    ): View {
        $counter = $this->counter($channel, $stable);
        $overview = $remembered->counters($channel, $counter)[0] ?? abort(Response::HTTP_NOT_FOUND);
        $first = $counter->scope === CounterScope::Channel ? '' : $overview['numbers'][0]['owner'] ?? '';
        $owner = Owner::fromId($request->string('of', $first)->value()) ?? Owner::channel();
        [$steps, $count] = $line->of($channel, $counter, $owner);
        $noted = NotedNumbers::ofCounter($counter);
        $atStart = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of($noted))->value($noted);

        return view('remember.counter', [
            'channel' => $channel,
            'counter' => $counter,
            'about' => $overview['about'],
            'numbers' => $overview['numbers'],
            'owner' => $owner,
            'steps' => $steps,
            'count' => $count,
            'points' => CounterLine::points($steps, 438, 90),
            'history' => $history->of($channel, Kind::Counter, Fold::caseless($counter->id)),
            'atStart' => is_int($atStart) ? $atStart : null,
        ]);
    }

    private function counter(Channel $channel, string $stable): Counter
    {
        foreach ($this->assembler->names($channel)->counters as $counter) {
            if ($counter->id === $stable) {
                return $counter;
            }
        }
        abort(Response::HTTP_NOT_FOUND);
    }
}
