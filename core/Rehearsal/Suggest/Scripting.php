<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptPart;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Circumstances and lines as a script that can be run. */
final readonly class Scripting
{
    public function __construct(
        private Pack $pack,
        private InitialState $situation,
        private Command $command,
        private Attempts $attempts,
        private Moment $at,
        private string $seed,
    ) {
    }

    /**
     * @param  string  $number  behind the title, where several are of the same circumstances
     * @param  list<Attempt>  $attempts  one behind the other
     */
    public function of(Beginning $beginning, string $number, array $attempts): ReadScript
    {
        $at = $this->at->plusMillis($beginning->later);
        $cast = $this->cast($beginning, $attempts);
        $memory = [];
        foreach ($cast as $member) {
            $memory += InitialState::recordOf($member, $this->pack);
        }
        $memory += $this->goods($beginning);
        foreach ($beginning->occasions as $name => $iso) {
            $memory[Key::occasion($this->pack->occasions[Fold::caseless($name)]->id)->id()] = $iso;
        }
        foreach ($this->counters($beginning) as $name => $numbers) {
            $counter = $this->pack->counters[Fold::caseless($name)];
            $owned = [];
            foreach (is_array($numbers) ? $numbers : ['' => $numbers] as $owner => $value) {
                $owner = (string) $owner;
                $owned[$counter->scope === CounterScope::Viewer ? CastMember::idOf($owner) : $owner] = $value;
            }
            $memory = InitialState::counterKeys($counter, $owned) + $memory;
        }

        return new ReadScript(
            mb_substr($this->command->trigger
                .($beginning->in === '' ? '' : ", {$beginning->in}").$number, 0, Script::LONGEST_TITLE),
            $at,
            $this->seed.($beginning->seed === '' ? '' : " {$beginning->seed}"),
            $cast,
            new InitialState(
                $memory,
                $beginning->channel
                    + ['live' => true, 'started' => $at->plusMillis(-3_600_000)->iso()]
                    + $this->situation->channel,
                answers: array_intersect_key(
                    $beginning->answers + $this->situation->answers,
                    $this->pack->lookups,
                ),
            ),
            $this->parts($beginning, $attempts),
        );
    }

    /**
     * People as the pack has them need not be told of.
     *
     * @param  list<Attempt>  $attempts
     * @return list<CastMember>
     */
    private function cast(Beginning $beginning, array $attempts): array
    {
        $own = [];
        $known = array_column($this->pack->cast, 'login');
        foreach ([...$beginning->record === [] ? [] : $this->pack->cast, ...array_column($attempts, 'by')] as $one) {
            if ($beginning->record === [] && in_array($one->login, $known, true)) {
                continue;
            }
            $own[$one->login] = new CastMember(
                $one->login,
                $one->name,
                $one->levels,
                $one->tier,
                record: $beginning->record + $one->record,
                details: $one->details,
            );
        }

        return array_values($own);
    }

    /** @return array<string, int> what everybody has of goods, by key id */
    public function goods(Beginning $beginning): array
    {
        $goods = [];
        foreach ($beginning->goods as $name => $number) {
            foreach ($this->pack->cast as $member) {
                $id = $this->pack->goods[Fold::caseless($name)]->id;
                $goods[Key::goods($id, $member->person()->id)->id()] = $number;
            }
        }

        return $goods;
    }

    /** @return array<string, mixed> what it begins with in memory beside records and goods, as a memory document */
    public function memory(Beginning $beginning): array
    {
        return array_filter([
            'counters' => $this->counters($beginning),
            'occasions' => $beginning->occasions,
        ]);
    }

    /** @return array<string, int|array<string, int>> by name */
    private function counters(Beginning $beginning): array
    {
        $category = $beginning->channel['category'] ?? $this->situation->channel['category'] ?? null;
        $counters = [];
        foreach ($beginning->counters as $name => $number) {
            $counter = $this->pack->counters[Fold::caseless($name)] ?? new Counter($name);
            $counters[$counter->name] = match ($counter->scope) {
                CounterScope::Channel => $number,
                CounterScope::Category => is_string($category) ? [$category => $number] : [],
                CounterScope::Viewer => array_fill_keys(array_column($this->pack->cast, 'login'), $number),
            };
        }

        return array_filter($counters, static fn (int|array $numbers): bool => $numbers !== []);
    }

    /**
     * @param  list<Attempt>  $attempts
     * @return list<ScriptPart>
     */
    private function parts(Beginning $beginning, array $attempts): array
    {
        $parts = [];
        $millis = 0;
        foreach ($beginning->isNewStream ? [HappeningKind::StreamEnds, HappeningKind::StreamBegins] : [] as $kind) {
            $what = new Happening("happening {$kind->value}", $kind, new Moment($millis));
            $parts[] = new ScriptPart($millis, $what);
            $millis += 1_000;
        }
        foreach ($attempts as $attempt) {
            foreach ([$this->attempts->apart, ...$attempt->again] as $time => $after) {
                $millis += $parts === [] ? 0 : $after;
                $parts[] = new ScriptPart($millis, new TimedLine(
                    $millis,
                    $time > 0 && $attempt->then !== null ? $attempt->then->login : $attempt->by->login,
                    trim(($attempt->phrase === '' ? $this->attempts->begins() : $attempt->phrase)." {$attempt->words}"),
                    isWhisper: $attempt->isWhisper,
                ));
            }
        }

        return $parts;
    }
}
