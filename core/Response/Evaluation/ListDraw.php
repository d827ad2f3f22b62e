<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use Random\Randomizer;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\DrawTable;
use SilverParrot\Pack\TextList;
use SilverParrot\Response\RenderedResponse;
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

    /** The list with what was added to it in the chat; null while that is not fetched yet. */
    public static function whole(TextList $list, EvaluationContext $run): ?TextList
    {
        return match (true) {
            ! $list->isFromChat => $list,
            $run->knows(Key::addedItems($list->id)) => $list->with(AddedItems::in($run->memory(), $list)),
            default => null,
        };
    }

    public static function from(TextList $list, Span $span, EvaluationContext $run): string|Said|Gap
    {
        $next = self::next($list, $span, $run);
        if ($next instanceof Gap) {
            return $next;
        }

        return $next[1] ? self::say($list, $next[0], $run) : self::text($list, $next[0], $run);
    }

    /** Where the next one stands, which is not counted: how far was drawn is kept all the same. */
    public static function place(TextList $list, Span $span, EvaluationContext $run): int|Gap
    {
        $next = self::next($list, $span, $run);

        return $next instanceof Gap ? $next : $next[0];
    }

    /** @return array{int, bool}|Gap its place, and whether it was drawn now */
    private static function next(TextList $list, Span $span, EvaluationContext $run): array|Gap
    {
        $draws = $list->draws;
        if ($draws === null) {
            return new Gap(GapReason::EmptyList, ['name' => $list->name]);
        }
        if ($list->order === DrawOrder::Free) {
            return [$draws->byWeight($run->draw($span)), true];
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
            return [$todays, false];
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

        return [$place, true];
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept  how far it was drawn
     * @return int|null how many items come before the first comes again; null where none is sure to come
     */
    public static function toCome(TextList $list, null|bool|int|string|array $kept): ?int
    {
        $draws = $list->draws;
        $isRound = $list->order === DrawOrder::Shuffled || $list->order === DrawOrder::InTurn;
        if ($draws === null || ! $isRound) {
            return null;
        }
        $position = is_array($kept) ? $kept : [];
        $last = is_string($position['last'] ?? null) ? $position['last'] : '';
        if ($list->order === DrawOrder::InTurn) {
            $place = is_int($position['place'] ?? null) ? $position['place'] : -1;

            return count($list->items) - 1 - ($draws->placeOf($last) ?? max(-1, $place - 1));
        }
        $round = is_string($position['round'] ?? null) ? $position['round'] : '';

        return $round === '' ? count($list->items) : $draws->left($round, $last, self::luck($position));
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
        $item = $list->items[$place];

        return match (true) {
            // What people have added stays theirs: a chat is not to take it for an instruction.
            $item->isPlain => new Said(new RenderedResponse([$item->text])),
            $list->isResponses => $run->own->say($item->text, "list.{$list->name}", $run),
            default => $item->text,
        };
    }

    /** @param  array<string, mixed>  $position */
    private static function luck(array $position): float
    {
        return is_string($position['at'] ?? null) && is_numeric($position['at']) ? (float) $position['at'] : INF;
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
        $next = $round === '' ? null : $draws->after($round, $last, self::luck($position));
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
