<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/**
 * The longest time that ever lay between an occasion and the next: kept as {from, to}, with the one that was it before,
 * so that a moment that was set by mistake can be taken back.
 */
final class LongestRun
{
    public static function reads(Occasion $occasion): Reads
    {
        return Reads::of(Key::occasion($occasion->id), Key::longestRun($occasion->id));
    }

    /**
     * What setting an occasion changes.
     *
     * @param  Moment|null  $at  null to clear it
     * @return list<Change>
     */
    public static function set(Occasion $occasion, ?Moment $at, View $memory): array
    {
        [$key, $longest] = [Key::occasion($occasion->id), Key::longestRun($occasion->id)];
        $was = self::moment($memory->value($key));
        $run = $was === null || $at === null ? null : TimeSpan::between($was, $at);
        $kept = self::kept($memory->value($longest));
        $changes = [new Change($key, $memory->value($key), $at?->iso(), "occasion.{$occasion->name}", 'channel')];
        if ($run !== null && ($kept === null || $run->millis() > $kept->millis())) {
            $changes[] = new Change($longest, $memory->value($longest), [
                'from' => $run->from->iso(),
                'to' => $run->to->iso(),
            ] + ($kept === null ? [] : ['was' => ['from' => $kept->from->iso(), 'to' => $kept->to->iso()]]), '', '');
        }

        return $changes;
    }

    /** What goes with it when a moment is taken back that had made the longest run. */
    public static function takeBack(Occasion $occasion, ?Moment $before, ?Moment $after, View $memory): ?Change
    {
        $key = Key::longestRun($occasion->id);
        $state = $memory->value($key);
        $kept = self::kept($state);
        $isFromIt =
            $kept !== null && $kept->from->millis === $before?->millis && $kept->to->millis === $after?->millis;
        /** @var array<string, mixed>|null $was */
        $was = is_array($state) && is_array($state['was'] ?? null) ? $state['was'] : null;

        return $isFromIt ? new Change($key, $state, $was, '', '') : null;
    }

    /** @return TimeSpan|null the longest, the present one among them; null where there is none yet */
    public static function of(Occasion $occasion, View $memory, Moment $now): ?TimeSpan
    {
        $kept = self::kept($memory->value(Key::longestRun($occasion->id)));
        $last = self::moment($memory->value(Key::occasion($occasion->id)));
        $present = $last === null ? null : TimeSpan::between($last, $now);

        return $kept === null || ($present !== null && $present->millis() > $kept->millis()) ? $present : $kept;
    }

    /** @param  null|bool|int|string|array<string, mixed>  $state */
    private static function kept(null|bool|int|string|array $state): ?TimeSpan
    {
        $from = is_array($state) ? self::moment($state['from'] ?? null) : null;
        $to = is_array($state) ? self::moment($state['to'] ?? null) : null;

        return $from === null || $to === null ? null : TimeSpan::between($from, $to);
    }

    private static function moment(mixed $iso): ?Moment
    {
        return is_string($iso) ? Moment::fromIso($iso) : null;
    }
}
