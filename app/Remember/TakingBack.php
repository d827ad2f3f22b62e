<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\LongestRun;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;
use Throwable;

/**
 * Takes one change of memory back: the value before it comes back where nothing came later, and what was added is taken
 * out where more was only added or taken since. Each is taken back once.
 */
final readonly class TakingBack
{
    private const TRIES = 4;

    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /** What was one act is taken back whole or not at all. */
    public function of(Channel $channel, int $history, User $by): TakenBack
    {
        $act = $this->connection->scalar('SELECT act FROM memory_history WHERE channel_id = ? AND id = ?', [
            $channel->id,
            $history,
        ]);
        if (! is_string($act)) {
            return $this->one($channel, $history, $by);
        }
        $rows = $this->connection->select('SELECT id FROM memory_history WHERE channel_id = ? AND act = ?', [
            $channel->id,
            $act,
        ]);
        $numbers = array_column($rows, 'id');
        rsort($numbers);
        $last = TakenBack::NotThere;
        $this->connection->beginTransaction();
        try {
            foreach ($numbers as $number) {
                $last = $this->one($channel, is_int($number) ? $number : 0, $by);
                if ($last !== TakenBack::Restored && $last !== TakenBack::TakenOut) {
                    $this->connection->rollBack();

                    return $last;
                }
            }
            $this->connection->commit();
        } catch (Throwable $thrown) {
            $this->connection->rollBack();
            throw $thrown;
        }

        return $last;
    }

    private function one(Channel $channel, int $history, User $by): TakenBack
    {
        /**
         * @var object{kind: string, name: string, owner: string, before: string, after: string, added: int|null}|null
         *     $row
         */
        $row = $this->connection->selectOne(
            'SELECT kind, name, owner, `before`, after, added FROM memory_history WHERE channel_id = ? AND id = ?',
            [$channel->id, $history],
        );
        $key = $row === null ? null : Key::of($row->kind, $row->name, $row->owner);
        if ($row === null || $key === null) {
            return TakenBack::NotThere;
        }
        /** @var null|bool|int|string|array<string, mixed> $before */
        $before = json_decode($row->before, true);
        /** @var null|bool|int|string|array<string, mixed> $after */
        $after = json_decode($row->after, true);
        $pack = $this->assembler->names($channel);
        $counter = $key->kind === Kind::Counter ? self::counter($pack, $key->name) : null;
        $hear = fn (View $memory): TookBack => new TookBack(
            ...[
                ...match (true) {
                    $this->isUndone($channel->id, $history) => [TakenBack::Before, []],
                    $memory->value($key) == $after => [
                        TakenBack::Restored,
                        self::restored($key, $before, $counter, $memory, $pack),
                    ],
                    $row->added !== null && $this->onlyAddedSince($channel->id, $history, $key) => self::takenOut(
                        $row->added,
                        $after,
                        $key,
                        $counter,
                        $memory,
                        $pack,
                    ),
                    default => [TakenBack::ChangedSince, []],
                },
                $by,
            ],
        );

        return $this->connection->transaction(function () use ($channel, $history, $key, $counter, $hear): TakenBack {
            $reads = match (true) {
                $counter !== null => Counted::reads($counter, $key->owner),
                $key->kind === Kind::Occasion => Reads::of($key, Key::longestRun($key->name)),
                default => Reads::of($key),
            };
            $turn = (new MariaDbStore($this->connection, $channel->id))->turn(EventKey::none(), $reads, $hear);
            $how = $turn instanceof TookBack ? $turn->how : TakenBack::NotThere;
            if ($how === TakenBack::Restored || $how === TakenBack::TakenOut) {
                $this->connection->update('UPDATE memory_history SET undone = TRUE WHERE channel_id = ? AND id = ?', [
                    $channel->id,
                    $history,
                ]);
            }

            return $how;
        }, self::TRIES);
    }

    private function isUndone(int $channel, int $history): bool
    {
        return $this->connection->scalar('SELECT undone FROM memory_history WHERE channel_id = ? AND id = ?', [
            $channel,
            $history,
        ]) == true;
    }

    private function onlyAddedSince(int $channel, int $history, Key $key): bool
    {
        return $this->connection->scalar(
            'SELECT COUNT(*) FROM memory_history WHERE channel_id = ? AND id > ? AND kind = ? AND name = ? AND owner '
                .'= ? AND added IS NULL',
            [$channel, $history, $key->kind->value, $key->name, $key->owner->id],
        ) == 0;
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $before
     * @return list<Change>
     */
    private static function restored(
        Key $key,
        null|bool|int|string|array $before,
        ?Counter $counter,
        View $memory,
        Pack $pack,
    ): array {
        if ($key->kind === Kind::Occasion) {
            $moment = static fn (mixed $kept): ?Moment => is_string($kept) ? Moment::fromIso($kept) : null;
            $run = LongestRun::takeBack(
                new Occasion($key->name),
                $moment($before),
                $moment($memory->value($key)),
                $memory,
            );

            return [
                new Change($key, $memory->value($key), $before, $key->kind->value, ''),
                ...$run === null ? [] : [$run],
            ];
        }

        return $counter === null
            ? [new Change($key, $memory->value($key), $before, $key->kind->value, '')]
            : self::counted(
                $counter,
                $key,
                Counted::number(
                    $counter,
                    $before,
                    is_array($before) && is_string($before['of'] ?? null) ? $before['of'] : '',
                ),
                $memory,
                $pack,
            );
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $after
     * @return array{TakenBack, list<Change>}
     */
    private static function takenOut(
        int $added,
        null|bool|int|string|array $after,
        Key $key,
        ?Counter $counter,
        View $memory,
        Pack $pack,
    ): array {
        $kept = $memory->value($key);
        if ($counter === null) {
            $isNumber =
                array_filter(
                    $pack->fields,
                    static fn (Field $field): bool => $key->kind === Kind::Field
                        && Fold::caseless($field->id) === $key->name
                        && $field->type === FieldType::Number,
                ) !== [];

            return is_int($kept) && ($isNumber || $kept >= $added)
                ? [TakenBack::TakenOut, [new Change($key, $kept, $kept - $added, $key->kind->value, '', -$added)]]
                : [TakenBack::ChangedSince, []];
        }
        $period = self::period($counter, $memory, $pack);
        $number = Counted::number($counter, $kept, $period) - $added;
        // What was counted for another day or stream is over.
        $isOver = is_array($after) && ($after['of'] ?? null) !== $period;

        return $isOver || $counter->within($number) !== $number
            ? [TakenBack::ChangedSince, []]
            : [TakenBack::TakenOut, self::counted($counter, $key, $number, $memory, $pack, true)];
    }

    /** @return list<Change> */
    private static function counted(
        Counter $counter,
        Key $key,
        int $number,
        View $memory,
        Pack $pack,
        bool $isAdded = false,
    ): array {
        return Counted::changes(
            $counter,
            $key->owner,
            $number,
            $memory,
            self::period($counter, $memory, $pack),
            '',
            $isAdded,
        );
    }

    private static function period(Counter $counter, View $memory, Pack $pack): string
    {
        return Counted::period($counter, $memory, Moment::of(now()), $pack->channel->zone);
    }

    private static function counter(Pack $pack, string $id): ?Counter
    {
        return array_values(
            array_filter($pack->counters, static fn (Counter $counter): bool => Fold::caseless($counter->id) === $id),
        )[0] ?? null;
    }
}
