<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

/** What one command, phrase, timer or kind of happening came to in an evening. */
final class Lane
{
    public int $asked = 0;

    /** @var int how often something was said */
    public int $answered = 0;

    /** @var array<string, int> how often each gate was closed, by its name */
    public array $closed = [];

    /** @var array<string, int> how often it failed, by reason */
    public array $failed = [];

    public int $nothing = 0;

    /** @var int the longest time from asking in vain to the next answer, in milliseconds */
    public int $longestSilence = 0;

    /** Since when it was asked in vain, in milliseconds since the start. */
    private ?int $silentSince = null;

    /** @var list<string> lines that set it off: the first few, and of a phrase those that look false, first */
    public array $lines = [];

    /** @var list<int> how false each of them looks */
    private array $scores = [];

    private const LINES = 5;

    /**
     * @param  string  $name  as it is shown
     * @param  string  $command  its trigger; empty where there is none
     * @param  int  $cooldown  seconds for everybody
     */
    public function __construct(
        public readonly LaneKind $kind,
        public readonly string $name,
        public readonly string $command = '',
        public readonly int $cooldown = 0,
    ) {
    }

    public function key(): string
    {
        return "{$this->kind->value} {$this->name}";
    }

    public function take(Mark $mark): void
    {
        $this->asked++;
        match ($mark->kind) {
            MarkKind::Said => $this->answered++,
            MarkKind::HeldBack => $this->closed[$mark->gate] = ($this->closed[$mark->gate] ?? 0) + 1,
            MarkKind::Failed => $this->failed[$mark->gate] = ($this->failed[$mark->gate] ?? 0) + 1,
            default => $this->nothing++,
        };
        if ($mark->kind === MarkKind::Said) {
            $this->end($mark->millis);
        } else {
            $this->silentSince ??= $mark->millis;
        }
        if ($mark->text !== '' && ! in_array($mark->text, $this->lines, true)) {
            $this->show($mark->text);
        }
    }

    private function show(string $line): void
    {
        $score = $this->kind === LaneKind::Phrase ? LooksFalse::score($this->name, $line) : 0;
        $place = count($this->lines);
        while ($place > 0 && $this->scores[$place - 1] < $score) {
            $place--;
        }
        if ($place < self::LINES) {
            array_splice($this->lines, $place, 0, [$line]);
            array_splice($this->scores, $place, 0, [$score]);
            $this->lines = array_slice($this->lines, 0, self::LINES);
            $this->scores = array_slice($this->scores, 0, self::LINES);
        }
    }

    /** @param  int  $millis  when it was answered again, or the evening was over */
    public function end(int $millis): void
    {
        if ($this->silentSince !== null) {
            $this->longestSilence = max($this->longestSilence, $millis - $this->silentSince);
        }
        $this->silentSince = null;
    }

    /** @return array<string, mixed> docs/formats/rehearsal.schema.json */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'name' => $this->name,
            'command' => $this->command,
            'asked' => $this->asked,
            'answered' => $this->answered,
            'closed' => (object) $this->closed,
            'failed' => (object) $this->failed,
            'nothing' => $this->nothing,
            'longest_silence' => $this->longestSilence,
            'lines' => $this->lines,
        ];
    }
}
