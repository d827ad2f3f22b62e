<?php

declare(strict_types=1);

namespace App\Rehearse;

use Illuminate\Http\Request;
use SilverParrot\Pack\CastMember;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/**
 * The simulated chat as the page holds it: what was said by whom and when, and how far the clock was turned. The server
 * keeps nothing of it; the same state says the same words.
 */
final readonly class TryState
{
    /** A chat on a page is short; a longer one is a script. */
    public const MOST = 100;

    /** Some 400 days, in milliseconds. */
    private const LONGEST_CLOCK = 400 * 86_400_000;

    /**
     * @param  list<TimedLine>  $lines
     * @param  int  $from  number of the line that the chat begins with, as TakenLines has them; 0 for none
     * @param  array<string, bool|string>  $channel  what is otherwise than on the air: "live", "category"
     * @param  bool  $isWhisper  whether lines are said to the parrot alone
     * @param  bool  $isFloodLifted  whether the limit over all commands is left out
     */
    private function __construct(
        public Moment $start,
        public int $clock,
        public array $lines,
        public string $seed,
        public string $speaker,
        public int $from = 0,
        public array $channel = [],
        public bool $isFloodLifted = false,
        public bool $isWhisper = false,
    ) {
    }

    public static function fresh(string $seed): self
    {
        return new self(Moment::of(now()->startOfSecond()), 0, [], $seed, '');
    }

    /** Begins with a line that was heard before, as it was heard. */
    public static function takenFrom(TakenLine $line): self
    {
        return new self(
            $line->at,
            0,
            [new TimedLine(0, $line->by->login, $line->text, $line->key, $line->isWhisper)],
            $line->seed,
            $line->by->login,
            $line->number,
        );
    }

    public static function read(Request $request, string $seed): self
    {
        $chat = $request->input('chat');
        $kept = is_string($chat) && strlen($chat) < 500_000 ? json_decode($chat, true) : null;
        $kept = is_array($kept) ? $kept : [];
        $clock = min(self::LONGEST_CLOCK, max(0, is_int($kept['clock'] ?? null) ? $kept['clock'] : 0));
        $lines = [];
        foreach (array_slice(is_array($kept['lines'] ?? null) ? $kept['lines'] : [], 0, self::MOST) as $line) {
            if (
                is_array($line)
                && is_int($line[0] ?? null)
                && is_string($line[1] ?? null)
                && is_string($line[2] ?? null)
            ) {
                $lines[] = new TimedLine(
                    min($clock, max(0, $line[0])),
                    mb_substr($line[1], 0, 60),
                    mb_substr($line[2], 0, Limits::LINE),
                    isWhisper: ($line[3] ?? false) === true,
                );
            }
        }
        $start = is_string($kept['start'] ?? null) ? Moment::fromIso($kept['start']) : null;
        $speaker = $request->input('speaker');
        $own = $request->input('seed');
        $category = $request->input('category_now');

        return new self(
            $start ?? self::fresh($seed)->start,
            $clock,
            $lines,
            is_string($own) && $own !== '' ? mb_substr($own, 0, 100) : $seed,
            is_string($speaker) ? mb_substr($speaker, 0, 60) : '',
            is_int($kept['from'] ?? null) ? $kept['from'] : 0,
            ($request->filled('live') ? ['live' => $request->boolean('live')] : [])
                + (is_string($category) && trim($category) !== '' ? ['category' => mb_substr($category, 0, 100)] : []),
            $request->boolean('no_flood'),
            $request->boolean('whisper'),
        );
    }

    public function spokenBy(string $speaker): self
    {
        return $this->with(['speaker' => $speaker]);
    }

    public function startedOver(): self
    {
        return $this->with(['start' => self::fresh($this->seed)->start, 'clock' => 0, 'lines' => [], 'from' => 0]);
    }

    public function turnedOn(int $seconds): self
    {
        return $this->with(['clock' => min(self::LONGEST_CLOCK, $this->clock + max(0, $seconds) * 1000)]);
    }

    /** Later than now, the clock is turned on; earlier, the whole chat takes place so much earlier. */
    public function turnedTo(Moment $moment): self
    {
        $ahead = $moment->millis - $this->now()->millis;

        return $ahead >= 0
            ? $this->with(['clock' => min(self::LONGEST_CLOCK, $this->clock + $ahead)])
            : $this->with(['start' => $this->start->plusMillis($ahead)]);
    }

    /** A line costs a second, as it would in a chat. */
    public function saying(string $by, string $text): self
    {
        if ($this->isFull()) {
            // Dropping the first lines instead would take what they changed out of memory again.
            return $this->spokenBy($by);
        }
        $clock = min(self::LONGEST_CLOCK, $this->clock + ($this->lines === [] ? 0 : 1000));

        return $this->with([
            'clock' => $clock,
            'lines' => [...$this->lines, new TimedLine(
                $clock,
                $by,
                mb_substr($text, 0, Limits::LINE),
                isWhisper: $this->isWhisper,
            )],
            'speaker' => $by,
        ]);
    }

    /**
     * What somebody pastes: one line after the other, "name: text" said by whom it names.
     *
     * @param  list<CastMember>  $cast
     */
    public function sayingAll(string $by, string $pasted, array $cast): self
    {
        $isOne = preg_match('/\R/u', trim($pasted)) !== 1;
        $names = [];
        foreach ($isOne ? [] : $cast as $member) {
            $names[Fold::caseless($member->login)] = $member->login;
            $names[Fold::caseless($member->name)] ??= $member->login;
        }
        $state = $this;
        foreach (preg_split('/\R/u', $pasted) ?: [] as $line) {
            $parts = explode(':', $line, 2);
            $named = isset($parts[1]) ? $names[Fold::caseless(trim($parts[0]))] ?? null : null;
            $text = trim($named === null ? $line : $parts[1]);
            $state = $text === '' ? $state : $state->saying($named ?? $by, $text);
        }

        return $state->spokenBy($by);
    }

    public function isFull(): bool
    {
        return count($this->lines) >= self::MOST;
    }

    public function json(): string
    {
        return json_encode(
            [
                'start' => $this->start->iso(),
                'from' => $this->from,
                'clock' => $this->clock,
                'lines' => array_map(
                    static fn (TimedLine $line): array => [
                        $line->millis,
                        $line->by,
                        $line->text,
                        ...($line->isWhisper ? [true] : []),
                    ],
                    $this->lines,
                ),
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
        );
    }

    public function now(): Moment
    {
        return $this->start->plusMillis($this->clock);
    }

    /** @param  array{start?: Moment, clock?: int, lines?: list<TimedLine>, speaker?: string, from?: int}  $other */
    private function with(array $other): self
    {
        return new self(
            $other['start'] ?? $this->start,
            $other['clock'] ?? $this->clock,
            $other['lines'] ?? $this->lines,
            $this->seed,
            $other['speaker'] ?? $this->speaker,
            $other['from'] ?? $this->from,
            $this->channel,
            $this->isFloodLifted,
            $this->isWhisper,
        );
    }
}
