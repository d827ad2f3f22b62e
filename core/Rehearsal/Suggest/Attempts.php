<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\AtMost;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\TypedIn;
use SilverParrot\Hearing\Gates\WhereTyped;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;

/** Who says what to a command: each of the levels there are, with and without words, soon again, and whispered. */
final readonly class Attempts
{
    public const NOBODY = 'nobody_here';

    /** Has no level at all. */
    private const NEWCOMER = 'newcomer';

    /** Beside the longest cooldown, in milliseconds. */
    private const APART = 60_000;

    private const SOON = 1_000;

    /** Words that are typed to see whether a circumstance matters. */
    private const PROBED = 6;

    /** Times that a line is said to come to the end of what may be. */
    private const MOST_AGAIN = 12;

    /** Milliseconds behind which no cooldown stands between two lines. */
    public int $apart;

    private function __construct(private Command $command, private Pack $pack, private Written $written)
    {
        $cooldown = $command->gates->get(Cooldown::class);
        $this->apart = self::APART + 1000 * max(
            $cooldown->channel,
            $cooldown->person,
            ...array_values($cooldown->levels->numbers),
        );
    }

    public static function on(Command $command, Pack $pack, Written $written): self
    {
        return new self($command, $pack, $written);
    }

    /** @return string what a line begins with that sets it off; empty where no line does */
    public function begins(): string
    {
        $triggers = $this->command->triggers;
        $phrase = $triggers->isNameOnly ? $triggers->phrases[0] ?? null : null;

        return match (true) {
            $phrase !== null => self::said($phrase),
            $triggers->isNameOnly => '',
            default => $this->command->trigger,
        };
    }

    /** A phrase as somebody says it: the first of its alternatives, and nothing in its gaps. */
    private static function said(Phrase $phrase): string
    {
        $text = (string) preg_replace('~\(([^/()]*)(/[^()]*)?\)~u', '$1', $phrase->text);

        return trim((string) preg_replace('~\s+~u', ' ', str_replace(['..', '…', '.'], ' ', $text)));
    }

    /** @return list<CastMember> one of each highest level: the lowest first, the streamer last */
    public function speakers(): array
    {
        $speakers = [];
        foreach ([...$this->pack->cast, new CastMember(self::NEWCOMER, 'Newcomer')] as $member) {
            $speakers[$member->person()->levels->highest()->value] ??= $member;
        }
        ksort($speakers);

        return array_values($speakers);
    }

    /**
     * @return CastMember|null of those who may use it the one with the most levels; the streamer, who passes each level
     *     gate, only where nobody else may
     */
    public function highest(): ?CastMember
    {
        $highest = null;
        $most = -1;
        foreach ($this->speakers() as $one) {
            $person = $one->person();
            $rank = ($this->command->isFor($person) ? 2 : 0) + ($person->levels->has(Level::Streamer) ? 0 : 1);
            if ($rank >= $most) {
                [$highest, $most] = [$one, $rank];
            }
        }

        return $highest;
    }

    /** @return list<Attempt> by somebody who may, without words and with those that look-ups are tried with */
    public function plain(): array
    {
        $by = $this->highest();

        return $by === null ? [] : array_map(
            static fn (string $words): Attempt => new Attempt($by, $words),
            ['', ...$this->written->samples],
        );
    }

    /** @return list<Attempt> what everybody would try first, in the order of one script */
    public function usual(): array
    {
        $lowest = $this->speakers()[0] ?? null;
        $highest = $this->highest();
        if ($lowest === null || $highest === null) {
            return [];
        }
        $other = $this->somebodyBut($highest);
        $isChatOnly = $this->command->gates->get(WhereTyped::class)->where === TypedIn::Chat;

        return [
            new Attempt($lowest, '', again: $this->soon()),
            ...$isChatOnly ? [new Attempt($lowest, '', true)] : [],
            ...$this->plain(),
            new Attempt($highest, 'a few words'),
            ...$other === null ? [] : [new Attempt($highest, "@{$other->login}")],
            new Attempt($highest, '@'.self::NOBODY),
        ];
    }

    /** @return list<int> at once, and where the channel's cooldown is over and one's own is not */
    private function soon(): array
    {
        $cooldown = $this->command->gates->get(Cooldown::class);

        return match (true) {
            $cooldown->gates() === [] => [],
            $cooldown->channel === 0 || $cooldown->person <= $cooldown->channel + 1 => [self::SOON],
            default => [self::SOON, 1000 * $cooldown->channel],
        };
    }

    /** @return list<Attempt> by which one sees whether a circumstance matters, each a line */
    public function probes(): array
    {
        $probes = array_map(
            static fn (Attempt $one): Attempt => new Attempt($one->by, $one->words, $one->isWhisper),
            $this->usual(),
        );
        $by = $this->highest();
        if ($by !== null) {
            foreach (array_slice([...$this->written->texts, ...$this->written->numbers], 0, self::PROBED) as $word) {
                $probes[] = new Attempt($by, (string) $word);
            }
        }
        foreach ($this->speakers() as $one) {
            $probes[] = new Attempt($one, '');
        }
        if ($by !== null) {
            $probes[] = new Attempt($by, "@{$by->login}");
        }

        return $probes;
    }

    /** @return iterable<Attempt> what else may matter */
    public function all(): iterable
    {
        $words = ['', ...array_map(strval(...), $this->written->numbers), ...$this->written->texts, 'a few words'];
        $speakers = $this->speakers();
        foreach ([...array_filter([$this->highest()]), ...$speakers] as $by) {
            $other = $this->somebodyBut($by);
            $named = $other === null ? [] : ["@{$other->login}", "@{$other->login} 1"];
            foreach ([...$words, ...$named, '@'.self::NOBODY, "@{$by->login}"] as $one) {
                yield new Attempt($by, $one);
            }
            yield new Attempt($by, '', true);
            foreach (['', 'a few words', ...array_slice($named, 0, 1), "@{$by->login}"] as $one) {
                yield new Attempt($by, $one, again: $this->soon());
                yield new Attempt($by, $one, again: array_slice($this->soon(), 0, 1), then: $other);
            }
        }
        foreach ($this->command->triggers->phrases as $phrase) {
            foreach ($phrase->cooldown > 0 ? $speakers : [] as $by) {
                // Its command's own cooldown is over by then.
                $over = max(self::SOON, min($this->apart - self::APART, 1000 * ($phrase->cooldown - 1)));
                yield new Attempt($by, '', again: [$over], phrase: self::said($phrase));
            }
        }
        $most = $this->command->gates->get(AtMost::class);
        $times = min(self::MOST_AGAIN, max($most->stream, $most->personStream, $most->personDay));
        foreach ($times > 0 ? array_reverse($speakers) : [] as $by) {
            yield new Attempt($by, '', again: array_fill(0, $times, $this->apart));
        }
    }

    private function somebodyBut(CastMember $by): ?CastMember
    {
        foreach ($this->pack->cast as $member) {
            if ($member->login !== $by->login) {
                return $member;
            }
        }

        return null;
    }
}
