<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\RehearsalRow;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\LaneKind;
use SilverParrot\Figures\MarkKind;

/** Where each thing stands in the picture of an evening, in the drawing's own units. */
final readonly class EveningDrawing
{
    /** The height of a line of numbers, in the drawing's own units. */
    private const NUMBER = 40;

    /** Marks in one picture. */
    private const MARKS = 2_400;

    /** Moments that are drawn with their own words; more are sums. */
    private const ONES = 600;

    /** Minutes between two times at the edge: the first that leaves room for its words. */
    private const TICKS = [1, 2, 5, 10, 15, 30, 60, 120, 240, 480, 1_440, 2_880, 4_320, 10_080];

    private const MOST_TICKS = 12;

    /**
     * @param  list<array{x: float, width: float, lines: float, said: float, label: string}>  $columns  heights of parts
     * @param  list<array{x: float, label: string}>  $ticks
     * @param  list<array{number: int, kind: string, name: string, y: float, marks: list<array{x: float, kind: string,
     *     count: int, id: int, label: string}>, cooldowns: list<array{x: float, width: float}>}>  $lanes
     * @param  list<array{name: string, y: float, points: string, label: string, limit: float|null}>  $numbers
     * @param  int  $left  lanes that are not drawn
     */
    private function __construct(
        public array $columns,
        public array $ticks,
        public array $lanes,
        public array $numbers,
        public float $height,
        public int $left,
        public int $most,
    ) {
    }

    public static function of(RehearsalRow $row, PictureView $view, EveningClock $clock, ChatProfile $profile): self
    {
        $result = $row->result ?? [];
        $scale = (EveningPicture::WIDTH - EveningPicture::LEFT) / ($view->to - $view->from);
        $x = static fn (int $millis): float => round(EveningPicture::LEFT + ($millis - $view->from) * $scale, 1);
        [$columns, $most] = self::columns($result, $view, $clock);
        [$lanes, $left] = self::lanes($row, $result, $view, $x, $clock);
        $top = EveningPicture::CHAT + 34 + count($lanes) * EveningPicture::LANE;
        $rate = self::rate($result, $view, $x, $top, $profile);
        $numbers = [$rate, ...self::numbers($result, $view, $x, $top + self::NUMBER)];

        return new self(
            $columns,
            self::ticks($view, $x, $clock),
            $lanes,
            $numbers,
            $top + count($numbers) * self::NUMBER + 10,
            $left,
            $most,
        );
    }

    /**
     * @param  array<string, mixed>  $result
     * @return array{list<array{x: float, width: float, lines: float, said: float, label: string}>, int}
     */
    private static function columns(array $result, PictureView $view, EveningClock $clock): array
    {
        $pieces = EveningPicture::PIECES;
        $step = max(Evening::PIECE, (int) ceil(($view->to - $view->from) / $pieces / Evening::PIECE) * Evening::PIECE);
        $sums = [];
        foreach (is_array($result['pieces'] ?? null) ? $result['pieces'] : [] as $piece) {
            [$number, $lines, $said] = self::whole($piece);
            $at = $number * Evening::PIECE;
            if ($at >= $view->from && $at < $view->to) {
                $column = intdiv($at - $view->from, $step);
                $sums[$column] = [($sums[$column][0] ?? 0) + $lines, ($sums[$column][1] ?? 0) + $said];
            }
        }
        $most = 1;
        foreach ($sums as [$lines, $said]) {
            $most = max($most, $lines + $said);
        }
        $scale = (EveningPicture::WIDTH - EveningPicture::LEFT) / ($view->to - $view->from);
        $columns = [];
        foreach ($sums as $column => [$lines, $said]) {
            $at = $view->from + $column * $step;
            $columns[] = [
                'x' => round(EveningPicture::LEFT + $column * $step * $scale, 1),
                'width' => max(0.6, round($step * $scale - 0.4, 1)),
                'lines' => round($lines / $most * EveningPicture::CHAT, 1),
                'said' => round($said / $most * EveningPicture::CHAT, 1),
                'label' => "{$clock->at($at)}: $lines lines, $said by the parrot",
            ];
        }

        return [$columns, $most];
    }

    /**
     * @param  array<string, mixed>  $result
     * @param  callable(int): float  $x
     * @return array{list<array{number: int, kind: string, name: string, y: float, marks: list<array{x: float,
     *     kind: string, count: int, id: int, label: string}>, cooldowns: list<array{x: float, width: float}>}>, int}
     */
    private static function lanes(
        RehearsalRow $row,
        array $result,
        PictureView $view,
        callable $x,
        EveningClock $clock,
    ): array {
        $known = is_array($result['lanes'] ?? null) ? $result['lanes'] : [];
        [$sums, $wide] = self::joined(MarkRows::sums($row, $view, EveningPicture::PIECES));
        $ones = self::ones($row, $sums);
        $step = $wide * max(1, intdiv($view->to - $view->from, EveningPicture::PIECES));
        $marks = $cooldowns = $busy = [];
        foreach ($sums as $sum) {
            $one = $ones[$sum->id] ?? null;
            $at = $one !== null && $sum->count === 1
                ? $one->millis
                : $view->from + $sum->piece * $step + intdiv($step, 2);
            $time = $clock->at($at);
            $kind = MarkKind::from($sum->kind);
            $marks[$sum->lane][] = [
                'x' => $x($at),
                'kind' => $sum->kind,
                'count' => $sum->count,
                'id' => $sum->id,
                'label' => $sum->count > 1
                    ? "$time: {$kind->label()}, {$sum->count} times"
                    : trim("$time: {$kind->label()}".($one?->inWords() ?? '')),
            ];
            $busy[$sum->lane] = ($busy[$sum->lane] ?? 0) + $sum->count;
            $seconds = is_array($known[$sum->lane] ?? null) ? $known[$sum->lane]['cooldown'] ?? 0 : 0;
            if ($kind === MarkKind::Said && is_int($seconds) && $seconds > 0) {
                $cooldowns[$sum->lane][] = [
                    'x' => $x($at),
                    'width' => max(1.0, min(EveningPicture::WIDTH, $x($at + $seconds * 1000)) - $x($at)),
                ];
            }
        }
        uksort($busy, static fn (int $a, int $b): int => self::rank($known[$a] ?? []) <=> self::rank($known[$b] ?? [])
            ?: $busy[$b] <=> $busy[$a]
            ?: $a <=> $b);
        $lanes = [];
        foreach (array_slice(array_keys($busy), 0, EveningPicture::LANES) as $place => $number) {
            $of = is_array($known[$number] ?? null) ? $known[$number] : [];
            $lanes[] = [
                'number' => $number,
                'kind' => is_string($of['kind'] ?? null) ? $of['kind'] : '',
                'name' => is_string($of['name'] ?? null) ? $of['name'] : '',
                'y' => (float) (EveningPicture::CHAT + 34 + $place * EveningPicture::LANE),
                'marks' => $marks[$number] ?? [],
                'cooldowns' => $cooldowns[$number] ?? [],
            ];
        }

        return [$lanes, max(0, count($busy) - EveningPicture::LANES)];
    }

    /** Happenings first, then timers, commands and phrases. */
    private static function rank(mixed $lane): int
    {
        $kind = is_array($lane) && is_string($lane['kind'] ?? null) ? LaneKind::tryFrom($lane['kind']) : null;

        return match ($kind) {
            LaneKind::Happening => 0,
            LaneKind::Timer => 1,
            LaneKind::Command => 2,
            default => 3,
        };
    }

    /** @return array{int, int, int} */
    private static function whole(mixed $numbers): array
    {
        $numbers = is_array($numbers) ? array_values(array_filter($numbers, is_int(...))) : [];

        return [$numbers[0] ?? 0, $numbers[1] ?? 0, $numbers[2] ?? 0];
    }

    /**
     * @param  list<MarkSum>  $sums
     * @return array<int, KeptMark> by number
     */
    private static function ones(RehearsalRow $row, array $sums): array
    {
        $ids = [];
        foreach ($sums as $sum) {
            if ($sum->count === 1 && count($ids) < self::ONES) {
                $ids[] = $sum->id;
            }
        }

        return MarkRows::all(MarkRows::of($row)->whereIn('id', $ids));
    }

    /**
     * Neighbours as one, as long as there would be more marks than anybody tells apart.
     *
     * @param  list<MarkSum>  $sums
     * @return array{list<MarkSum>, int} and of how many pieces each is made
     */
    private static function joined(array $sums): array
    {
        for ($wide = 1; count($sums) > self::MARKS; $wide *= 2) {
            $joined = [];
            foreach ($sums as $sum) {
                $place = "{$sum->lane} {$sum->kind} ".intdiv($sum->piece, 2);
                $joined[$place] = $sum->widened($joined[$place] ?? null);
            }
            $sums = array_values($joined);
        }

        return [$sums, $wide];
    }

    /**
     * @param  callable(int): float  $x
     * @return list<array{x: float, label: string}>
     */
    private static function ticks(PictureView $view, callable $x, EveningClock $clock): array
    {
        $every = 60_000 * (array_values(array_filter(
            self::TICKS,
            static fn (int $minutes): bool => ($view->to - $view->from) / 60_000 / $minutes <= self::MOST_TICKS,
        ))[0] ?? 43_200);
        if ($view->to - $view->from < 3 * 60_000) {
            $every = 15_000;
        }
        $ticks = [];
        for ($at = (int) ceil($view->from / $every) * $every; $at <= $view->to; $at += $every) {
            $ticks[] = ['x' => $x($at), 'label' => $clock->tick($at, $every)];
        }

        return $ticks;
    }

    /**
     * What the outbox had to say within each window of the chat, beside what the chat takes.
     *
     * @param  array<string, mixed>  $result
     * @param  callable(int): float  $x
     * @return array{name: string, y: float, points: string, label: string, limit: float|null}
     */
    private static function rate(
        array $result,
        PictureView $view,
        callable $x,
        float $top,
        ChatProfile $profile,
    ): array {
        $said = [];
        foreach (is_array($result['pieces'] ?? null) ? $result['pieces'] : [] as $piece) {
            [$number, , $count] = self::whole($piece);
            $said[$number] = $count;
        }
        $window = intdiv($profile->windowSeconds * 1000, Evening::PIECE);
        $limit = $profile->oftenForModerators;
        $rates = [];
        $step = max(1, intdiv($view->to - $view->from, EveningPicture::PIECES * Evening::PIECE));
        $first = intdiv($view->from, Evening::PIECE);
        for ($piece = $first; $piece * Evening::PIECE <= $view->to; $piece++) {
            $sum = 0;
            for ($back = 0; $back < $window; $back++) {
                $sum += $said[$piece - $back] ?? 0;
            }
            $column = intdiv($piece - $first, $step) * $step + $first;
            $rates[$column] = max($rates[$column] ?? 0, $sum);
        }
        $most = max([1, ...$rates]);
        // A limit far above would press the line flat.
        $scale = $limit <= 2 * $most ? max($limit, $most) : $most;
        $points = [];
        foreach ($rates as $piece => $rate) {
            $at = max(EveningPicture::LEFT, min(EveningPicture::WIDTH, $x($piece * Evening::PIECE)));
            $points[] = "$at,".round($top + 26 - $rate / $scale * 22, 1);
        }

        return [
            'name' => "said in {$profile->windowSeconds} s",
            'y' => $top,
            'points' => implode(' ', $points),
            'label' => "Said within {$profile->windowSeconds} s: $most at most; the chat takes $limit of a moderator",
            'limit' => $limit <= $scale ? round($top + 26 - $limit / $scale * 22, 1) : null,
        ];
    }

    /**
     * @param  array<string, mixed>  $result
     * @param  callable(int): float  $x
     * @return list<array{name: string, y: float, points: string, label: string, limit: float|null}>
     */
    private static function numbers(array $result, PictureView $view, callable $x, float $top): array
    {
        $numbers = [];
        foreach (is_array($result['steps'] ?? null) ? $result['steps'] : [] as $name => $steps) {
            $steps = is_array($steps) ? $steps : [];
            $values = array_map(static fn (mixed $step): int => self::whole($step)[1], $steps);
            if ($values === []) {
                continue;
            }
            [$least, $most] = [min($values), max($values)];
            $y = $top + count($numbers) * self::NUMBER;
            $height = static fn (int $value): float => round(
                $y + 26 - ($most === $least ? 0.5 : ($value - $least) / ($most - $least)) * 22,
                1,
            );
            $points = [];
            $last = null;
            foreach ($steps as $step) {
                [$at, $value] = self::whole($step);
                if ($at > $view->to) {
                    break;
                }
                $here = max(EveningPicture::LEFT, $x($at));
                if ($last !== null) {
                    $points[] = "$here,{$height($last)}";
                }
                $points[] = "$here,{$height($value)}";
                $last = $value;
            }
            if ($last !== null) {
                $points[] = EveningPicture::WIDTH.",{$height($last)}";
            }
            $numbers[] = [
                'name' => (string) $name,
                'y' => $y,
                'points' => implode(' ', $points),
                'label' => "$name: $least to $most",
                'limit' => null,
            ];
        }

        return $numbers;
    }
}
