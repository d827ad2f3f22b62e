<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Closure;
use Illuminate\Database\Connection;
use SilverParrot\Chat\TypedMoment;
use SilverParrot\Memory\Cause;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\LongestRun;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Memory put right by hand. It goes through the same turns as the air's own changes, so neither loses the other's. */
final readonly class MemoryEditor
{
    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /**
     * @return int|null what the counter shows now, within its floor and ceiling; null where there is no such counter
     */
    public function count(Channel $channel, string $name, ?Owner $owner, int $number, User $by): ?int
    {
        $pack = $this->assembler->names($channel);
        $counter = $pack->counters[Fold::caseless($name)] ?? null;
        if ($counter === null || $owner === null || ! $counter->scope->hasOwner($owner)) {
            return null;
        }
        $number = $counter->within($number);
        $this->change(
            $channel,
            $by,
            Counted::reads($counter, $owner),
            static fn (View $memory): array => Counted::changes(
                $counter,
                $owner,
                $number,
                $memory,
                Counted::period($counter, $memory, Moment::of(now()), $pack->channel->zone),
                '',
            ),
        );

        return $number;
    }

    /** @return Moment|null what was typed, as the occasion takes it; null for what is none */
    public function moment(Channel $channel, string $name, string $typed): ?Moment
    {
        $pack = $this->assembler->names($channel);
        $isComing = $pack->occasions[Fold::caseless($name)]->isComing ?? false;

        return TypedMoment::read($typed, $pack->channel, Moment::of(now()->startOfSecond()), $isComing);
    }

    /** @param  Moment|null  $at  null to clear it */
    public function occasion(Channel $channel, string $name, ?Moment $at, User $by): bool
    {
        $occasion = $this->assembler->names($channel)->occasions[Fold::caseless($name)] ?? null;
        if ($occasion === null) {
            return false;
        }
        $this->change(
            $channel,
            $by,
            LongestRun::reads($occasion),
            static fn (View $memory): array => LongestRun::set($occasion, $at, $memory),
        );

        return true;
    }

    /**
     * @param  Closure(View): list<Change>  $changes  what is to change, seen under the channel's lock
     * @param  string  $act  where they are taken back together
     */
    public function change(Channel $channel, User $by, Reads $reads, Closure $changes, string $act = ''): void
    {
        (new MariaDbStore($this->connection, $channel->id))->turn(
            EventKey::none(),
            $reads,
            static fn (View $memory): Tally => new Tally($changes($memory), Cause::user($by->id, $act)),
        );
    }
}
