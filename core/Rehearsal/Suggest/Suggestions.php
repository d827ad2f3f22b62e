<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\Coverage\Coverable;
use SilverParrot\Rehearsal\Coverage\CoverableKind;
use SilverParrot\Rehearsal\Coverage\Coverables;
use SilverParrot\Rehearsal\Coverage\Reached;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Scripts\Expecting\Remembers;
use SilverParrot\Rehearsal\Scripts\Expecting\Says;
use SilverParrot\Rehearsal\Scripts\Expecting\SaysNothing;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptPart;
use SilverParrot\Rehearsal\Scripts\ScriptResult;
use SilverParrot\Rehearsal\Scripts\ScriptRun;
use SilverParrot\Rehearsal\Scripts\ScriptYaml;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/**
 * Scripts for one command that come to all it can come to, found by trying: what everybody would say to it, then, for
 * what that does not come to, one circumstance after another. Only lines that come to something new are kept; what is
 * said to them now stands as expected, to be looked at.
 */
final class Suggestions
{
    /** Lines that are tried for one command. */
    private const TRIED = 4_000;

    /** Of these, in circumstances that seem to change nothing. */
    private const HARDLY = 800;

    /** Gates of which one is closed when the one before it is open. */
    private const GATES = 3;

    public const MOST = 30;

    /** Lists up to so long are drawn from until each item has come up. */
    private const ITEMS = 12;

    /** Times that a line is said for that. */
    private const DRAWS = 40;

    private readonly ScriptRun $run;

    private readonly ResponseCache $prepared;

    /** @var array<string, Coverable> that nothing has come to yet, by key */
    private array $missing = [];

    /** @var list<Suggestion> */
    private array $found = [];

    private int $tried = 0;

    private readonly Written $written;

    private readonly Attempts $attempts;

    private readonly Scripting $scripting;

    public function __construct(
        private readonly Pack $pack,
        InitialState $situation,
        ChatProfile $profile,
        Wording $wording,
        private readonly Command $command,
        private readonly Moment $at,
        string $seed,
    ) {
        $this->run = new ScriptRun($pack, $profile, $wording);
        $this->prepared = new ResponseCache;
        $this->written = Written::in($command, $pack, $this->prepared);
        $this->attempts = Attempts::on($command, $pack, $this->written);
        $this->scripting = new Scripting($pack, $situation, $command, $this->attempts, $at, $seed);
    }

    /** @return list<Suggestion> what everybody would try first; none where nobody can type it */
    public function all(): array
    {
        $usual = $this->attempts->usual();
        if ($usual === [] || $this->attempts->begins() === '') {
            return [];
        }
        $items = [];
        foreach (Coverables::of($this->command, $this->pack, $this->prepared) as $one) {
            $one->kind === CoverableKind::Items
                ? $items[] = $one
                : $this->missing[$one->keys[0]] = $one;
        }
        $this->add(new Beginning, $usual);
        $this->explore(new Beginning('by others and with other words'));
        $this->exploreAll();
        foreach ($items as $list) {
            $this->drawAll($list, $usual[0]->by);
        }
        $this->longest($usual[0]->by);

        return array_slice($this->found, 0, self::MOST);
    }

    /** @return list<Coverable> what nothing was found for */
    public function missing(): array
    {
        return array_values($this->missing);
    }

    /**
     * One circumstance after another, those first that change what is said first; then each together with those that
     * made the command speak at all.
     */
    private function exploreAll(): void
    {
        $usually = $this->probed(new Beginning);
        $all = new Beginnings($this->pack, $this->written, $this->at);
        $beginnings = [...$this->openings(new Beginning), ...$all->all()];
        $luck = [...$all->luck()];
        $openers = $others = [];
        foreach ($beginnings as $beginning) {
            if (! $this->isToGoOn() && ! $beginning->isWanted) {
                continue;
            }
            if ($beginning->isWanted || $this->probed($beginning) !== $usually) {
                $isNew = $this->explore($beginning);
                $openers = [...$openers, ...$isNew ? [$beginning] : []];
            } else {
                $others[] = $beginning;
            }
        }
        foreach ($luck as $beginning) {
            if ($this->isToGoOn()) {
                $this->explore($beginning, true);
            }
        }
        for ($place = 0; isset($openers[$place]); $place++) {
            foreach ($this->isToGoOn() ? $this->openings($openers[$place]) : [] as $opening) {
                $isNew = $this->explore($opening);
                $openers = [...$openers, ...$isNew ? [$opening] : []];
            }
        }
        // Those that opened most are the last.
        foreach (array_reverse($openers) as $opener) {
            foreach ([...$beginnings, ...$luck] as $beginning) {
                if ($beginning !== $opener && $this->isToGoOn()) {
                    $this->explore($opener->with($beginning), true);
                }
            }
        }
        $this->tried = max($this->tried, self::TRIED - self::HARDLY);
        foreach ($others as $beginning) {
            if ($this->isToGoOn()) {
                $this->explore($beginning);
            }
        }
    }

    private function isToGoOn(): bool
    {
        return $this->missing !== [] && $this->tried <= self::TRIED;
    }

    /** @return list<Beginning> the same at moments at which a gate is open that is closed now, one behind the other */
    private function openings(Beginning $now): array
    {
        $openings = [];
        for ($gate = 0; $gate < self::GATES; $gate++) {
            $result = $this->run->of($this->scripting->of($now, '', $this->attempts->probes()));
            $seconds = 0;
            foreach ($result->heard as $heard) {
                $opens = $heard->outcome->closed->opens->data['seconds'] ?? 0;
                $seconds = is_int($opens) ? max($seconds, $opens) : $seconds;
            }
            if ($seconds * 1000 <= $this->attempts->apart) {
                break;
            }
            $openings[] = $now = $now->with(new Beginning('once it may be used', later: $seconds * 1000));
        }

        return $openings;
    }

    /** @return list<list<string>> what each of the first lines comes to */
    private function probed(Beginning $beginning): array
    {
        $probed = [];
        foreach ($this->attempts->probes() as $attempt) {
            $this->tried++;
            $result = $this->run->of($this->scripting->of($beginning, '', [$attempt]), true);
            $probed[] = array_keys(self::reached($result));
        }

        return $probed;
    }

    /**
     * @param  bool  $isShort  whether the first lines are enough
     * @return bool whether something new was come to
     */
    private function explore(Beginning $beginning, bool $isShort = false): bool
    {
        $kept = [];
        $still = $this->missing;
        foreach ($isShort ? $this->attempts->probes() : $this->attempts->all() as $attempt) {
            if ($still === [] || ++$this->tried > self::TRIED) {
                break;
            }
            $result = $this->run->of($this->scripting->of($beginning, '', [$attempt]), true);
            $new = array_intersect_key($still, self::reached($result));
            if ($new !== []) {
                $kept[] = $attempt;
                $still = array_diff_key($still, $new);
            }
        }
        if ($kept === [] && $beginning->isWanted) {
            $kept = $this->attempts->plain();
        }
        if ($kept === []) {
            return false;
        }
        $wanted = array_diff_key($this->missing, $still);
        $joined = $this->run->of($this->scripting->of($beginning, '', $kept), true);
        // Luck is another where a line stands elsewhere: then each has a script of its own.
        if (array_diff_key($wanted, self::reached($joined)) === []) {
            $this->add($beginning, $kept);

            return $wanted !== [];
        }
        foreach ($kept as $place => $attempt) {
            $this->add($beginning, [$attempt], $place === 0 ? '' : ', '.($place + 1));
        }

        return true;
    }

    /** Until each item of a short list has come up. */
    private function drawAll(Coverable $list, CastMember $by): void
    {
        if (count($list->keys) > self::ITEMS || count($list->keys) < 2) {
            return;
        }
        for ($times = count($list->keys) - 1; $times < self::DRAWS; $times++) {
            $attempt = new Attempt($by, '', again: array_fill(0, $times, $this->attempts->apart));
            $beginning = new Beginning("until each of {$list->name} has come up");
            $reached = self::reached($this->run->of($this->scripting->of($beginning, '', [$attempt]), true));
            if (! $list->isMissing($reached)) {
                $this->missing[$list->keys[0]] = $list;
                $this->add($beginning, [$attempt]);

                return;
            }
            $this->tried += $times;
            if ($list->reachedOf($reached) === 0 || $this->tried > 2 * self::TRIED) {
                return;
            }
        }
    }

    /** By somebody of the longest name, who names somebody of the longest name. */
    private function longest(CastMember $lowest): void
    {
        $name = str_repeat('w', $this->run->profile->longestName);
        $highest = $this->attempts->highest() ?? $lowest;
        $by = new CastMember($name, $name, $highest->levels, $highest->tier, record: $highest->record);
        $longest = [0, null, ''];
        foreach (['', '1', '2', '3', '4'] as $seed) {
            foreach (["@$name", str_repeat('w', 100), '999999999999999'] as $words) {
                $beginning = new Beginning('as long as it gets', seed: $seed);
                $attempt = new Attempt($by, $words);
                $result = $this->run->of($this->scripting->of($beginning, '', [$attempt]));
                $length = array_sum(array_map(mb_strlen(...), $result->said(0)));
                if ($length > $longest[0]) {
                    $longest = [$length, $beginning, $words];
                }
            }
        }
        $others = [0];
        foreach ($this->found as $one) {
            foreach (array_keys($one->result->script->parts) as $place) {
                $others[] = array_sum(array_map(mb_strlen(...), $one->result->said($place)));
            }
        }
        if ($longest[1] !== null && $longest[0] > max($others)) {
            $this->add($longest[1], [new Attempt($by, $longest[2])]);
        }
    }

    /** @param  list<Attempt>  $attempts */
    private function add(Beginning $beginning, array $attempts, string $number = ''): void
    {
        $script = $this->scripting->of($beginning, $number, $attempts);
        $result = $this->run->of($script, true);
        $parts = [];
        foreach ($script->parts as $place => $part) {
            $parts[] = $part->what instanceof TimedLine
                ? new ScriptPart($part->millis, $part->what, [
                    self::expected($result, $place),
                    ...$this->remembered($beginning, $result, $place),
                ])
                : $part;
        }
        $expecting = new ReadScript(
            $script->title,
            $script->at,
            $script->seed,
            $script->cast,
            $script->situation,
            $parts,
        );
        $new = array_intersect_key($this->missing, self::reached($result));
        $this->missing = array_diff_key($this->missing, $new);
        $this->found[] = new Suggestion(
            ScriptYaml::of($expecting, $this->scripting->memory($beginning), $this->scripting->goods($beginning)),
            $this->run->of($expecting, true),
            array_values($new),
        );
    }

    /** @return array<string, true> */
    private static function reached(ScriptResult $result): array
    {
        return Reached::in($result->heard)->keys;
    }

    private static function expected(ScriptResult $result, int $place): Expects
    {
        $said = $result->said($place);
        if ($said !== []) {
            return new Says($said);
        }
        $reasons = array_map(
            static fn (Heard $one): string => $one->outcome->closed->gate ?? ($one->outcome->failed->reason ?? ''),
            $result->of($place),
        );

        return new SaysNothing(array_values(array_filter($reasons))[0] ?? '');
    }

    /** @return list<Expects> what a counter of the channel at one of its ends is, behind a line */
    private function remembered(Beginning $beginning, ScriptResult $result, int $place): array
    {
        $values = [];
        foreach (array_keys($beginning->counters) as $name) {
            foreach ($result->of($place) as $heard) {
                foreach ($heard->outcome->authoredChanges() as $change) {
                    if ($change->what === "counter.$name" && $change->scope === 'channel' && is_int($change->to)) {
                        $values[$change->what] = $change->to;
                    }
                }
            }
        }

        return $values === [] ? [] : [new Remembers($values)];
    }
}
