<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\MemoryRows;
use Illuminate\Database\Eloquent\Builder;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\SaidNow;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Which sayings another text of a fact changes: what they would say now, before and after. */
final readonly class FactSayings
{
    /** Sayings that are shown. */
    private const MOST = 50;

    public function __construct(
        private Assembler $assembler,
        private MemoryRows $memory,
        private ResponseCache $prepared,
    ) {
    }

    /** @return list<array{string, string, string}> of which command, and what it says before and after */
    public function changed(Channel $channel, string $name, string $text, bool $isResponse): array
    {
        $folded = Fold::caseless($name);
        $pack = $this->assembler->namesAndTriggers($channel);
        $fact = $pack->facts[$folded] ?? null;
        if ($fact === null || ($fact->text === $text && $fact->isResponse === $isResponse)) {
            return [];
        }
        [$triggers, $texts] = $this->users($channel, "fact.$folded", $pack);
        $then = $pack->withFact(new Fact($fact->name, $text, $fact->id, $isResponse, $fact->parts));
        $before = $this->say($channel, $pack, $texts);
        $after = $this->say($channel, $then, $texts);
        $changed = [];
        foreach ($texts as $at => $source) {
            if ($before[$at] !== $after[$at]) {
                $changed[] = [$triggers[$at], $before[$at] ?? '', $after[$at] ?? ''];
            }
        }

        return $changed;
    }

    /** @return array{list<string>, list<string>} triggers, and the responses that lead to it, by the same keys */
    private function users(Channel $channel, string $place, Pack $pack): array
    {
        $leading = $this->leading($place, $pack);
        [$triggers, $texts] = [[], []];
        $findable = static function (Builder $any) use ($leading): void {
            foreach ($leading as $place) {
                // A name stands in their texts, and a row finds its texts by any part of them.
                $any->orWhere('findable', 'like', '%'.addcslashes(explode('.', $place, 2)[1] ?? '', '%_\\').'%');
            }
        };
        $rows = $channel->commands()->where($findable)->with(['aliases', 'responses', 'expectations'])->lazyById(500);
        foreach ($rows as $row) {
            $command = CommandRepository::toCore($row);
            foreach ($command->responses as $response) {
                $named = $this->prepared->response($response->text())->namedPlaces();
                if (array_intersect($named, $leading) !== [] && count($texts) < self::MOST) {
                    $triggers[] = $command->trigger;
                    $texts[] = $response->text();
                }
            }
        }

        return [$triggers, $texts];
    }

    /** @return list<string> the fact, and the facts that lead to it because they are responses themselves */
    private function leading(string $place, Pack $pack): array
    {
        $leading = [$place];
        foreach ($pack->facts as $name => $fact) {
            $named = $fact->isResponse ? $this->prepared->response($fact->text)->namedPlaces() : [];
            if (in_array($place, $named, true)) {
                $leading[] = "fact.$name";
            }
        }

        return $leading;
    }

    /**
     * @param  list<string>  $texts
     * @return array<int, string|null>
     */
    private function say(Channel $channel, Pack $pack, array $texts): array
    {
        $situation = $this->memory->copy($channel);
        $now = new SaidNow($pack, $situation->withDetailsOf($pack), $channel->profile(), 'fact', $this->prepared);
        $caller = ($pack->cast[0] ?? new CastMember('tamsin', 'Tamsin'))->person();

        return $now->to($caller, '', $texts, Moment::of(now()));
    }
}
