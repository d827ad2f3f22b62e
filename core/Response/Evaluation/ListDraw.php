<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use Random\Randomizer;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\DrawTable;
use SilverParrot\Pack\TextList;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/**
 * Draws the next item of a list, and counts it. Kept is which item came last, by its id, so that an edited list goes on
 * where it was: {last: item, place: where it stood} in turn, in a shuffled list {last: item, round: luck, at: its place
 * in the order}, and one a day {last: item, day: when}.
 */
final class ListDraw
{
    /** Orders that are tried for one that does not begin with the item that came last. */
    private const TRIES = 20;

    public static function from(TextList $list, Span $span, EvaluationContext $run): string|Said|Gap
    {
        $draws = $list->draws;
        if ($draws === null) {
            return new Gap(GapReason::EmptyList, ['name' => $list->name]);
        }
        if ($list->order === DrawOrder::Free) {
            return self::say($list, $draws->byWeight($run->draw($span)), $run);
        }
        $key = self::position($list, $run);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $kept = $run->memory()->value($key);
        $position = is_array($kept) ? $kept : [];
        $last = is_string($position['last'] ?? null) ? $position['last'] : '';
        $day = $run->world->now->in($run->world->pack->channel->zone)->format('Y-m-d');
        $todays = $list->order === DrawOrder::OneADay && ($position['day'] ?? null) === $day
            ? $draws->placeOf($last)
            : null;
        if ($todays !== null) {
            // The same once more is no draw.
            return self::text($list, $todays, $run);
        }
        [$place, $more] = match ($list->order) {
            DrawOrder::InTurn => self::inTurn(
                $draws,
                count($list->items),
                $last,
                is_int($position['place'] ?? null) ? $position['place'] : -1,
            ),
            DrawOrder::NoRepeat => [$draws->byWeight($run->draw($span), $draws->placeOf($last)), []],
            DrawOrder::OneADay => [$draws->byWeight($run->draw($span), $draws->placeOf($last)), ['day' => $day]],
            DrawOrder::Shuffled => self::fromShuffled($draws, count($list->items), $last, $position, $run->draw($span)),
        };
        $run->change(
            new Change($key, $kept, ['last' => $list->items[$place]->id] + $more, "list.{$list->name}", 'channel'),
        );

        return self::say($list, $place, $run);
    }

    /** One a day is of each person, and others where their author says so. Nobody at all shares the channel’s. */
    public static function position(TextList $list, EvaluationContext $run): Key
    {
        $caller = $run->scene->caller;
        $isTheirs = $list->isForEachViewer || $list->order === DrawOrder::OneADay;

        return Key::listPosition(
            $list->id,
            $isTheirs && $caller !== null && $caller->id !== '' ? Owner::viewer($caller->id) : null,
        );
    }

    private static function say(TextList $list, int $place, EvaluationContext $run): string|Said|Gap
    {
        $run->change(new Change(Key::drawn($list->id, $list->items[$place]->id), null, 1, '', '', 1));

        return self::text($list, $place, $run);
    }

    public static function text(TextList $list, int $place, EvaluationContext $run): string|Said|Gap
    {
        $text = $list->items[$place]->text;

        return $list->isResponses ? $run->own->say($text, "list.{$list->name}", $run) : $text;
    }

    /**
     * @param  int  $place  where the last one stood; -1 for nowhere yet
     * @return array{int, array{place: int}}
     */
    private static function inTurn(DrawTable $draws, int $count, string $last, int $place): array
    {
        $found = $draws->placeOf($last);
        // Where the last one was taken out, what followed it stands in its place now.
        $next = ($found === null ? max(0, $place) : $found + 1) % $count;

        return [$next, ['place' => $next]];
    }

    /**
     * @param  array<string, mixed>  $position
     * @return array{int, array{round: string, at: string}}
     */
    private static function fromShuffled(
        DrawTable $draws,
        int $count,
        string $last,
        array $position,
        Randomizer $luck,
    ): array {
        $round = is_string($position['round'] ?? null) ? $position['round'] : '';
        $at = is_string($position['at'] ?? null) && is_numeric($position['at']) ? (float) $position['at'] : INF;
        $next = $round === '' ? null : $draws->after($round, $last, $at);
        if ($next === null) {
            $tries = 0;
            do {
                // The first of a new round is not the last of the old one, or it would come twice running.
                $round = bin2hex($luck->getBytes(8));
                $next = $draws->firstOf($round);
            } while ($next === $last && $count > 1 && ++$tries < self::TRIES);
        }

        return [
            (int) $draws->placeOf($next),
            ['round' => $round, 'at' => sprintf('%.17g', $draws->luckOf($round, $next))],
        ];
    }
}
