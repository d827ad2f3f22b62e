<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Air\LogEntry;
use Illuminate\Http\Request;
use SilverParrot\Rehearsal\TimedLine;
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

    private const LONGEST_CLOCK = 86_400_000;

    /**
     * @param  list<TimedLine>  $lines
     * @param  int  $from  number of the line on the air that the chat begins with; 0 for none
     */
    private function __construct(
        public Moment $start,
        public int $clock,
        public array $lines,
        public string $seed,
        public string $speaker,
        public int $from = 0,
    ) {
    }

    public static function fresh(string $seed): self
    {
        return new self(Moment::of(now()->startOfSecond()), 0, [], $seed, '');
    }

    /** Begins with a line that was heard on the air, as it was heard. */
    public static function takenFrom(LogEntry $line, string $seed): self
    {
        return new self(
            $line->at,
            0,
            [new TimedLine(0, $line->by->login, $line->text, $line->key)],
            $seed,
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
                );
            }
        }
        $start = is_string($kept['start'] ?? null) ? Moment::fromIso($kept['start']) : null;
        $speaker = $request->input('speaker');
        $own = $request->input('seed');

        return new self(
            $start ?? self::fresh($seed)->start,
            $clock,
            $lines,
            is_string($own) && $own !== '' ? mb_substr($own, 0, 100) : $seed,
            is_string($speaker) ? mb_substr($speaker, 0, 60) : '',
            is_int($kept['from'] ?? null) ? $kept['from'] : 0,
        );
    }

    public function spokenBy(string $speaker): self
    {
        return new self($this->start, $this->clock, $this->lines, $this->seed, $speaker, $this->from);
    }

    public function turnedOn(int $seconds): self
    {
        return new self(
            $this->start,
            min(self::LONGEST_CLOCK, $this->clock + max(0, $seconds) * 1000),
            $this->lines,
            $this->seed,
            $this->speaker,
            $this->from,
        );
    }

    /** A line costs a second, as it would in a chat. */
    public function with(string $by, string $text): self
    {
        if ($this->isFull()) {
            // Dropping the first lines instead would take what they changed out of memory again.
            return $this->spokenBy($by);
        }
        $clock = min(self::LONGEST_CLOCK, $this->clock + ($this->lines === [] ? 0 : 1000));

        return new self(
            $this->start,
            $clock,
            [...$this->lines, new TimedLine($clock, $by, mb_substr($text, 0, Limits::LINE))],
            $this->seed,
            $by,
            $this->from,
        );
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
                    static fn (TimedLine $line): array => [$line->millis, $line->by, $line->text],
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
}
