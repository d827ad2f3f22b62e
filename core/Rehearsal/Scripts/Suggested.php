<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Hearing\Gates\WhileStream;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Scripts\Expecting\Says;
use SilverParrot\Rehearsal\Scripts\Expecting\SaysNothing;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/**
 * A script for one command: with and without words, with somebody who is there and somebody who is not, too soon again,
 * by who has the least and who has the most levels, offline, in another category, with its sources and without. What is
 * said now stands as what is expected, to be looked at.
 */
final readonly class Suggested
{
    private const NOBODY = 'nobody_here';

    /** Between two lines that no cooldown is to stand between, beside the longest one: in milliseconds. */
    private const APART = 60_000;

    public function __construct(
        private Pack $pack,
        private InitialState $situation,
        private ChatProfile $profile,
        private Wording $wording,
    ) {
    }

    /** @param  bool  $isSourceDown  whether all look-ups fail */
    public function of(Command $command, Moment $at, string $seed, bool $isSourceDown = false): ?ReadScript
    {
        $lowest = CastMember::lowest($this->pack->cast);
        if ($lowest === null || $command->trigger === '') {
            return null;
        }
        $answers = $isSourceDown
            ? array_map(static fn (): array => [new CannedAnswer([], Trouble::Timeout)], $this->pack->lookups)
            : $this->situation->answers;
        $script = new ReadScript(
            $command->trigger.($isSourceDown ? ', its sources down' : ''),
            $at,
            $seed,
            [],
            new InitialState(
                channel: ['live' => true, 'started' => $at->iso()] + $this->situation->channel,
                answers: array_intersect_key($answers, $this->pack->lookups),
            ),
            $this->parts($command, $lowest),
        );
        $result = (new ScriptRun($this->pack, $this->profile, $this->wording))->of($script);
        $parts = [];
        foreach ($script->parts as $place => $part) {
            $parts[] = $part->what instanceof TimedLine
                ? new ScriptPart($part->millis, $part->what, [self::expected($result, $place)])
                : $part;
        }

        return new ReadScript(
            $script->title,
            $script->at,
            $script->seed,
            $script->cast,
            $script->situation,
            $parts,
        );
    }

    /** @return list<ScriptPart> */
    private function parts(Command $command, CastMember $lowest): array
    {
        $cooldown = $command->gates->get(Cooldown::class);
        $apart = self::APART + 1000 * max($cooldown->channel, $cooldown->person);
        $highest = $this->highest($lowest);
        $others = array_values(array_filter(
            $this->pack->cast,
            static fn (CastMember $one): bool => $one !== $highest,
        ));
        $parts = [];
        $millis = 0;
        $say = static function (CastMember $by, string $words, int $after) use (&$parts, &$millis, $command): void {
            $millis += $parts === [] ? 0 : $after;
            $line = trim("{$command->trigger} $words");
            $parts[] = new ScriptPart($millis, new TimedLine($millis, $by->login, $line));
        };
        $happens = static function (HappeningKind $kind, string $text = '') use (&$parts, &$millis): void {
            $millis += 1000;
            $place = count($parts);
            $what = new Happening("happening $place", $kind, new Moment($millis), text: $text);
            $parts[] = new ScriptPart($millis, $what);
        };
        $say($lowest, '', 0);
        if ($cooldown->channel > 0 || $cooldown->person > 0) {
            $say($lowest, '', 1_000);
        }
        $say($highest, '', $apart);
        $say($highest, 'a few words', $apart);
        if ($others !== []) {
            $say($highest, '@'.$others[0]->login, $apart);
        }
        $say($highest, '@'.self::NOBODY, $apart);
        if ($command->gates->get(InCategory::class) != InCategory::usual()) {
            $happens(HappeningKind::Category, 'Something Else');
            $say($highest, '', $apart);
        }
        if ($command->gates->get(WhileStream::class) != WhileStream::usual()) {
            $happens(HappeningKind::StreamEnds);
            $say($highest, '', $apart);
            $happens(HappeningKind::StreamBegins);
        }

        return $parts;
    }

    private function highest(CastMember $lowest): CastMember
    {
        $highest = $lowest;
        foreach ($this->pack->cast as $member) {
            $is = $member->person()->levels->highest()->value;
            // The streamer passes each level gate, and so says nothing of it.
            $isStreamer = $member->person()->levels->has(Level::Streamer);
            if ($is > $highest->person()->levels->highest()->value && ! $isStreamer) {
                $highest = $member;
            }
        }

        return $highest;
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
}
