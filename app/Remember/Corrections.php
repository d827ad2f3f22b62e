<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Closure;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Cause;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Counted;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Counter;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Memory put right by hand. It goes through the same turns as the air's own changes, so neither loses the other's. */
final readonly class Corrections
{
    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /** @return int|null what the counter shows now, within its floor and ceiling; null where there is no such counter */
    public function count(Channel $channel, string $name, ?Owner $owner, int $number, User $by): ?int
    {
        $pack = $this->assembler->names($channel);
        $counter = $pack->counters[Fold::caseless($name)] ?? null;
        if ($counter === null || $owner === null || ! $counter->scope->hasOwner($owner)) {
            return null;
        }
        $number = $counter->within($number);
        $this->turn($channel, $by, Counted::reads($counter, $owner), static fn (View $memory): array => self::counted($counter, $owner, $number, $memory, $pack->channel->zone));

        return $number;
    }

    /** @param  Moment|null  $at  null to clear it */
    public function occasion(Channel $channel, string $name, ?Moment $at, User $by): bool
    {
        $occasion = $this->assembler->names($channel)->occasions[Fold::caseless($name)] ?? null;
        if ($occasion === null) {
            return false;
        }
        $key = Key::occasion($occasion->id);
        $this->turn($channel, $by, Reads::of($key), static fn (View $memory): array => [new Change($key, $memory->value($key), $at?->iso(), "occasion.{$occasion->name}", 'channel')]);

        return true;
    }

    /** @return bool|null whether it was taken back; false when it changed again since; null where there is no such change */
    public function undo(Channel $channel, int $history, User $by): ?bool
    {
        /** @var object{kind: string, name: string, owner: string, before: string, after: string}|null $row */
        $row = $this->connection->selectOne('SELECT kind, name, owner, `before`, after FROM memory_history WHERE channel_id = ? AND id = ?', [$channel->id, $history]);
        $key = $row === null ? null : Key::of($row->kind, $row->name, $row->owner);
        if ($row === null || $key === null) {
            return null;
        }
        /** @var null|bool|int|string|array<string, mixed> $before */
        $before = json_decode($row->before, true);
        $after = json_decode($row->after, true);
        $pack = $this->assembler->names($channel);
        $counter = $key->kind === Kind::Counter ? self::withId($pack->counters, $key->name) : null;
        $reads = $counter === null ? Reads::of($key) : Counted::reads($counter, $key->owner);
        $isBack = false;
        $this->turn($channel, $by, $reads, static function (View $memory) use ($key, $before, $after, $counter, $pack, &$isBack): array {
            $isBack = $memory->value($key) == $after;
            if (! $isBack) {
                return [];
            }

            return $counter === null ? [new Change($key, $memory->value($key), $before, $key->kind->value, '')]
                : self::counted($counter, $key->owner, Counted::number($counter, $before, is_array($before) && is_string($before['of'] ?? null) ? $before['of'] : ''), $memory, $pack->channel->zone);
        });

        return $isBack;
    }

    /** @param  array<string, Counter>  $counters */
    private static function withId(array $counters, string $id): ?Counter
    {
        return array_values(array_filter($counters, static fn (Counter $counter): bool => Fold::caseless($counter->id) === $id))[0] ?? null;
    }

    /** @return list<Change> */
    private static function counted(Counter $counter, Owner $owner, int $number, View $memory, \DateTimeZone $zone): array
    {
        return array_values(array_filter(
            Counted::changes($counter, $owner, $number, $memory, Counted::period($counter, $memory, Moment::of(now()), $zone), ''),
            static fn (Change $change): bool => $change->from !== $change->to,
        ));
    }

    /** @param  Closure(View): list<Change>  $changes */
    private function turn(Channel $channel, User $by, Reads $reads, Closure $changes): void
    {
        (new MariaDbStore($this->connection, $channel->id))->turn(EventKey::none(), $reads, static fn (View $memory): Tally => new Tally($changes($memory), Cause::user($by->id)));
    }
}
