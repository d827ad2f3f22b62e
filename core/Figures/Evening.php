<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\GoesOn;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Kind;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\RehearsedOutbox;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** What an evening came to, gathered while it is heard: of lines that set nothing off only their number is kept. */
final class Evening
{
    /** Milliseconds of one of the pieces by which lines are counted. */
    public const PIECE = 5_000;

    /** Marks that are kept; more are only counted. */
    public const MARKS = 60_000;

    /** Letters in a line on a screen of 340 pixels (at 14 pixels in a common face; common practice). */
    private const LETTERS_A_LINE = 46;

    private const LONG_LINES = 3;

    public int $lines = 0;

    public int $said = 0;

    public int $failed = 0;

    /** @var array<string, int> by gate */
    public array $closed = [];

    /** @var array<int, array{int, int}> lines and sayings by piece */
    public array $pieces = [];

    /** @var array<string, Lane> by key */
    public array $lanes = [];

    /** @var list<Mark> */
    public array $marks = [];

    public int $cut = 0;

    public int $empty = 0;

    public int $same = 0;

    public int $long = 0;

    /** @var array<string, array<string, int>> how often each item of a list came up, by the list's id */
    public array $drawn = [];

    /** @var array<string, list<array{int, int}>> milliseconds and number by "counter.planks" */
    public array $steps = [];

    /** @var array<string, array<string, int>> who has how much more than before, by field */
    public array $gained = [];

    /** @var array<string, array{string, string}> first and last value by what was changed and whose it is */
    public array $changed = [];

    /** @var array<string, null|bool|int|string|array<string, mixed>> what was read of the real memory, by key id */
    public array $found = [];

    public int $length = 0;

    private string $last = '';

    public readonly RehearsedOutbox $outbox;

    /** @param  bool  $isModerator  whether the parrot is one in that chat */
    public function __construct(
        private readonly Pack $pack,
        public readonly ChatProfile $profile,
        private readonly Moment $start,
        bool $isModerator = true,
    ) {
        $this->outbox = new RehearsedOutbox($profile, $isModerator);
    }

    public function take(Heard $heard): void
    {
        $millis = $heard->line->millis;
        $this->length = max($this->length, $millis);
        $piece = intdiv($millis, self::PIECE);
        $this->pieces[$piece] ??= [0, 0];
        if ($heard->event instanceof ChatLine) {
            $this->lines++;
            $this->pieces[$piece][0]++;
        }
        $outcome = $heard->outcome;
        if ($outcome->sayings !== []) {
            $this->said += count($outcome->sayings);
            $this->pieces[$piece][1] += count($outcome->sayings);
            $this->outbox->take($outcome->sayings, $this->start->plusMillis($millis));
            array_map($this->look(...), $outcome->sayings);
        }
        foreach ($outcome->changes as $change) {
            $this->change($change, $millis);
        }
        $mark = $this->mark($heard);
        if ($mark !== null) {
            $this->add($mark);
        }
    }

    /** @param  int  $length  of the whole evening, in milliseconds */
    public function end(int $length): void
    {
        $this->length = max($this->length, $length);
        $this->outbox->until($this->start->plusMillis($this->length));
        foreach ($this->lanes as $lane) {
            $lane->end($this->length);
        }
    }

    /** The parrot's share of what was written, 0 to 1. */
    public function share(): float
    {
        return $this->said === 0 ? 0.0 : $this->said / ($this->lines + $this->said);
    }

    /** @return array{int, int} sayings of the middle minute of those in which something was said, and of the fullest */
    public function sayingsAMinute(): array
    {
        $minutes = [];
        foreach ($this->pieces as $piece => [, $said]) {
            $minute = intdiv($piece * self::PIECE, 60_000);
            $minutes[$minute] = ($minutes[$minute] ?? 0) + $said;
        }
        $minutes = array_values(array_filter($minutes));
        sort($minutes);

        return $minutes === [] ? [0, 0] : [$minutes[intdiv(count($minutes), 2)], $minutes[count($minutes) - 1]];
    }

    /** @return list<ListDraws> of lists that were drawn from */
    public function draws(): array
    {
        $draws = [];
        foreach ($this->pack->lists as $list) {
            if (isset($this->drawn[Fold::caseless($list->id)])) {
                $draws[] = ListDraws::of($list, $this->drawn[Fold::caseless($list->id)]);
            }
        }

        return $draws;
    }

    private function mark(Heard $heard): ?Mark
    {
        $outcome = $heard->outcome;
        $event = $heard->event;
        $by = $heard->by->name ?? '';
        if ($event instanceof Happening) {
            return new Mark(
                $heard->line->millis,
                $this->lane(LaneKind::Happening, $event->kind->label()),
                MarkKind::Happened,
                $event->key(),
                $by,
                $event->inWords(),
                $outcome->texts(),
            );
        }
        if ($event instanceof TimerDue && ($outcome->sayings !== [] || $outcome->command !== null)) {
            $lane = $this->lane(LaneKind::Timer, $event->timer->name);
        } elseif ($outcome->command === null) {
            return null;
        } else {
            $lane = $this->laneOf($outcome->command, $outcome->phrase, $event);
        }
        $kind = match (true) {
            $outcome->closed !== null => MarkKind::HeldBack,
            $outcome->failed !== null => MarkKind::Failed,
            $outcome->sayings !== [] => MarkKind::Said,
            default => MarkKind::Nothing,
        };

        return new Mark(
            $heard->line->millis,
            $lane,
            $kind,
            $event?->key() ?? '',
            $by,
            $heard->line->text,
            $outcome->texts(),
            $outcome->closed->gate ?? ($outcome->failed->reason ?? ''),
            $outcome->closed->reason ?? $outcome->failed?->message(),
        );
    }

    private function laneOf(Command $command, string $phrase, ?Event $event): string
    {
        if ($event instanceof GoesOn && $event->from instanceof TimerDue) {
            return $this->lane(LaneKind::Timer, $event->from->timer->name);
        }

        return $phrase === ''
            ? $this->lane(LaneKind::Command, $command->trigger, $command)
            : $this->lane(LaneKind::Phrase, $phrase, $command);
    }

    private function lane(LaneKind $kind, string $name, ?Command $command = null): string
    {
        $key = "{$kind->value} $name";
        if (! isset($this->lanes[$key])) {
            $cooldown = $command?->gates->get(Cooldown::class);
            $this->lanes[$key] = new Lane(
                $kind,
                $name,
                $command->trigger ?? '',
                $cooldown instanceof Cooldown ? $cooldown->channel : 0,
            );
        }

        return $key;
    }

    private function add(Mark $mark): void
    {
        $this->lanes[$mark->lane]->take($mark);
        match ($mark->kind) {
            MarkKind::HeldBack => $this->closed[$mark->gate] = ($this->closed[$mark->gate] ?? 0) + 1,
            MarkKind::Failed => $this->failed++,
            MarkKind::Nothing => $this->empty++,
            default => null,
        };
        if (count($this->marks) < self::MARKS) {
            $this->marks[] = $mark;
        }
    }

    private function look(Saying $saying): void
    {
        $this->cut += $saying->isCut ? 1 : 0;
        $this->same += $saying->text === $this->last ? 1 : 0;
        $this->long += mb_strwidth($saying->text) > self::LONG_LINES * self::LETTERS_A_LINE ? 1 : 0;
        $this->last = $saying->text;
    }

    private function change(Change $change, int $millis): void
    {
        if ($change->key->kind === Kind::Drawn) {
            [$list, $item] = explode("\x1E", $change->key->name, 2) + [1 => ''];
            $this->drawn[$list][$item] = ($this->drawn[$list][$item] ?? 0) + 1;
        }
        if (! $change->isAuthored()) {
            return;
        }
        $what = $change->scope === 'channel' ? $change->what : "{$change->what} of {$change->scope}";
        $this->changed[$what] = [$this->changed[$what][0] ?? self::value($change->from), self::value($change->to)];
        $number = is_array($change->to) ? $change->to['n'] ?? null : $change->to;
        if ($change->key->kind === Kind::Counter && is_int($number)) {
            $this->steps[$what][] = [$millis, $number];
        }
        if ($change->key->kind === Kind::Field && is_int($change->to)) {
            $more = $change->added ?? $change->to - (is_int($change->from) ? $change->from : 0);
            $this->gained[$change->what][$change->scope] = ($this->gained[$change->what][$change->scope] ?? 0) + $more;
        }
    }

    /** @param  null|bool|int|string|array<string, mixed>  $value */
    private static function value(null|bool|int|string|array $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => is_int($value['n'] ?? null) ? (string) $value['n'] : '…',
            default => mb_substr((string) $value, 0, 200),
        };
    }
}
