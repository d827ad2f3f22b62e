<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/**
 * What a rehearsal has changed in its copy of memory and what lasts, to be kept in the real one. What is of somebody in
 * the cast goes to whoever has that name in the real chat: what was added to one is added to the other.
 */
final readonly class LastingChanges
{
    /** Cooldowns and where lists have come to are of that evening alone. */
    private const KINDS = [
        Kind::Counter,
        Kind::Field,
        Kind::Goods,
        Kind::Occasion,
        Kind::Quote,
        Kind::LastQuote,
        Kind::LongestRun,
        Kind::EverEarned,
        Kind::Sold,
        Kind::CheckIn,
        Kind::AddedItems,
    ];

    /**
     * @param  list<Change>  $changes  that can be kept
     * @param  list<string>  $left  logins of the cast whose changes cannot: nobody has the name
     * @param  array<string, true>  $moved  ids of the owners that changes of the cast go to
     */
    private function __construct(public array $changes, public array $left, private array $moved)
    {
    }

    /**
     * @param  list<Heard>  $heard
     * @return list<string> whom of the cast something was changed of
     */
    public static function logins(array $heard): array
    {
        $logins = array_map(self::castLogin(...), self::together($heard));

        return array_values(array_unique(array_filter($logins, is_string(...))));
    }

    /**
     * @param  list<Heard>  $heard
     * @param  array<array-key, string>  $people  ids of those who have a name of the cast in the real chat, by login
     */
    public static function of(array $heard, array $people): self
    {
        $changes = $left = $moved = [];
        foreach (self::together($heard) as $change) {
            $login = self::castLogin($change);
            if ($login === null) {
                $changes[] = $change;
            } elseif (isset($people[$login])) {
                $owner = Owner::viewer($people[$login]);
                $moved[$owner->id] = true;
                $changes[] = $change->of($owner);
            } else {
                $left[$login] = $login;
            }
        }

        return new self($changes, array_values($left), $moved);
    }

    /** What must be known before they are kept. */
    public function reads(Pack $pack): Reads
    {
        $reads = Reads::of(...array_column($this->changes, 'key'));
        foreach ($this->changes as $change) {
            $counter = self::counter($change, $pack);
            $reads = $counter === null ? $reads : $reads->and(Counted::reads($counter, $change->key->owner));
        }

        return $reads;
    }

    /** @return list<Change>|Message what they are in the real memory as it is now; why they cannot be kept */
    public function in(View $memory, Pack $pack, Moment $now): array|Message
    {
        $kept = new PendingChanges($memory);
        foreach ($this->changes as $change) {
            $key = $change->key;
            if (! $this->isMoved($change) && ! $key->kind->isTally() && $memory->value($key) != $change->from) {
                return new Message('keeping.changed-meanwhile', ['what' => $change->what]);
            }
            $counter = self::counter($change, $pack);
            $those = $counter === null
                ? [$this->asItIsNow($change, $kept)]
                : $this->counted($counter, $change, $kept, $pack, $now);
            foreach ($those as $one) {
                if ($counter === null && $this->isMoved($change) && is_int($one->to) && $one->to < 0) {
                    return new Message('keeping.not-that-much', ['who' => $change->scope]);
                }
                $kept->change($one);
            }
        }

        return $kept->changes();
    }

    private function asItIsNow(Change $change, View $memory): Change
    {
        if ($change->key->kind->isTally()) {
            return new Change($change->key, null, $change->to, $change->what, $change->scope, $change->added);
        }
        $now = $memory->value($change->key);
        $isAdded = $change->added !== null && $this->isMoved($change);
        $to = $isAdded ? (is_int($now) ? $now : 0) + $change->added : $change->to;

        return new Change($change->key, $now, $to, $change->what, $change->scope, $change->added);
    }

    /** @return list<Change> the sum over a counter's numbers goes with each of them */
    private function counted(Counter $counter, Change $change, View $memory, Pack $pack, Moment $now): array
    {
        $period = Counted::period($counter, $memory, $now, $pack->channel->zone);
        $to = is_array($change->to) ? $change->to['n'] ?? null : $change->to;
        $isSet = is_int($to) && ($change->added === null || ! $this->isMoved($change));
        $number = $isSet
            ? $to
            : Counted::number($counter, $memory->value($change->key), $period) + (int) $change->added;

        return Counted::changes(
            $counter,
            $change->key->owner,
            $counter->within($number),
            $memory,
            $period,
            $change->scope,
            $change->added !== null,
        );
    }

    private function isMoved(Change $change): bool
    {
        return isset($this->moved[$change->key->owner->id]);
    }

    private static function counter(Change $change, Pack $pack): ?Counter
    {
        foreach ($change->key->kind === Kind::Counter ? $pack->counters : [] as $counter) {
            if (Fold::caseless($counter->id) === $change->key->name) {
                return $counter;
            }
        }

        return null;
    }

    /**
     * @param  list<Heard>  $heard
     * @return list<Change> of all lines together; sums follow from the numbers that are kept
     */
    private static function together(array $heard): array
    {
        $together = new PendingChanges(new CompleteView);
        foreach ($heard as $one) {
            foreach ($one->outcome->changes as $change) {
                if (in_array($change->key->kind, self::KINDS, true) && $change->key->owner->kind !== OwnerKind::Total) {
                    $together->change($change);
                }
            }
        }

        return $together->changes();
    }

    private static function castLogin(Change $change): ?string
    {
        $owner = $change->key->owner;

        return $owner->kind === OwnerKind::Viewer ? CastMember::loginOf($owner->of) : null;
    }
}
