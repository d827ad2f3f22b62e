<?php

declare(strict_types=1);

namespace App\Storage;

use App\Storage\Shelves\Balances;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use LogicException;
use SilverParrot\Chat\Saying;
use SilverParrot\Format\AwaitedFormat;
use SilverParrot\Hearing\Awaited;
use SilverParrot\Memory\ActorKind;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\Cause;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\LeaseLost;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Memory\PartialView;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Turn;
use SilverParrot\Memory\View;
use SilverParrot\Source\Fold;

/**
 * Memory that lasts, of one channel. A turn is one transaction: the channel's row is locked first, so there is one
 * writer a channel; the event's key, the changes, their history and the sayings stand or fall together.
 */
final readonly class MariaDbStore implements Store
{
    private ByKind $kept;

    /** How often a turn is tried again that the database gave up in favour of another. */
    private const TRIES = 4;

    private const DEADLOCK = 1213;

    private const WAITED_TOO_LONG = 1205;

    private const DUPLICATE = 1062;

    /**
     * @param  int|null  $epoch of the lease under which it was opened; null for screens and commands, which the lock
     *     alone orders
     * @param  (Closure(non-empty-list<Saying>): bool)|null  $takes  whether sayings are said as soon as they are kept;
     *     they are queued otherwise
     */
    public function __construct(
        private Connection $connection,
        private int $channel,
        private ?int $epoch = null,
        private ?Closure $takes = null,
    ) {
        $this->kept = new ByKind($connection, $channel);
    }

    public function snapshot(Reads $reads): View
    {
        return new PartialView($this->kept->read($reads->keys));
    }

    public function turn(EventKey $key, Reads $reads, Closure $hear): Turn|AlreadyHandled|LeaseLost
    {
        for ($try = 1; ; $try++) {
            try {
                return $this->once($key, $reads, $hear);
            } catch (QueryException $exception) {
                if (
                    $try === self::TRIES
                    || ! in_array(self::code($exception), [self::DEADLOCK, self::WAITED_TOO_LONG], true)
                ) {
                    throw $exception;
                }
            }
        }
    }

    /**
     * @template T of Turn
     *
     * @param  Closure(View): T  $hear
     * @return T|AlreadyHandled|LeaseLost
     */
    private function once(EventKey $key, Reads $reads, Closure $hear): Turn|AlreadyHandled|LeaseLost
    {
        $this->connection->beginTransaction();
        try {
            $result = $this->inside($key, $reads, $hear);
            $isKept = $result instanceof Turn && $result->changesToKeep() !== null;
            $isKept ? $this->connection->commit() : $this->connection->rollBack();
            if (! $isKept) {
                $this->kept->viewers->forget();
            }

            return $result;
        } catch (\Throwable $thrown) {
            $this->kept->viewers->forget();
            // A connection that is lost has rolled back by itself; the first reason is the one worth telling.
            try {
                $this->connection->rollBack();
            } catch (\Throwable) {
            }
            throw $thrown;
        }
    }

    /**
     * @template T of Turn
     *
     * @param  Closure(View): T  $hear
     * @return T|AlreadyHandled|LeaseLost
     */
    private function inside(EventKey $key, Reads $reads, Closure $hear): Turn|AlreadyHandled|LeaseLost
    {
        /** @var object{lease_epoch: int, tally: int}|null $channel */
        $channel = $this->connection->selectOne('SELECT lease_epoch, tally FROM channels WHERE id = ? FOR UPDATE', [
            $this->channel,
        ]);
        if ($channel === null || ($this->epoch !== null && $channel->lease_epoch !== $this->epoch)) {
            return new LeaseLost($channel->lease_epoch ?? 0);
        }
        if (! $this->take($key, $channel->tally)) {
            return new AlreadyHandled($key->event);
        }
        $turn = $hear(new PartialView($this->kept->read($reads->keys)));
        $changes = $turn->changesToKeep();
        if ($changes !== null) {
            $this->keep($changes, $turn->cause(), $key->event);
            $this->queue($turn, $key->event);
            $this->keepEffects($turn, $key->event);
        }

        return $turn;
    }

    /** @return bool whether it was not taken before */
    private function take(EventKey $key, int $tally): bool
    {
        if ($key->tally !== null) {
            return $key->tally > $tally
                && $this->connection->update('UPDATE channels SET tally = ? WHERE id = ?', [
                    $key->tally,
                    $this->channel,
                ]) === 1;
        }
        try {
            return $key->event === ''
                || $this->connection->insert(
                    'INSERT INTO heard_events (channel_id, event_key, heard_at) VALUES (?, ?, UTC_TIMESTAMP(3))',
                    [$this->channel, $key->event],
                );
        } catch (QueryException $exception) {
            return self::code($exception) === self::DUPLICATE ? false : throw $exception;
        }
    }

    /** @param  list<Change>  $changes */
    private function keep(array $changes, Cause $cause, string $eventKey): void
    {
        if ($changes === []) {
            return;
        }
        $logins = [];
        foreach ($changes as $change) {
            if ($change->key->owner->kind === OwnerKind::Viewer && $change->scope !== '') {
                // In reports, whose something is stands with the login.
                $logins[$change->key->owner->of] = Fold::caseless($change->scope);
            }
        }
        $this->kept->keep($changes, $logins);
        $this->bookPresence($changes);
        $authored = array_values(array_filter($changes, static fn (Change $change): bool => $change->isAuthored()));
        if ($authored !== []) {
            $this->tell($authored, $cause, $eventKey);
        }
    }

    /**
     * What was earned by being here stands in the ledger once a stream and viewer, raised in place, in one statement.
     *
     * @param  list<Change>  $changes
     */
    private function bookPresence(array $changes): void
    {
        $earned = array_values(array_filter($changes, static fn (Change $one): bool => $one->isForPresence));
        $stream = $earned === []
            ? null
            : $this->connection->scalar(
                "SELECT JSON_VALUE(state, '$.number') FROM running_streams WHERE channel_id = ?",
                [$this->channel],
            );
        $presence = 'stream '.(is_scalar($stream) ? $stream : '0');
        foreach (array_chunk($earned, ByKind::ROWS) as $some) {
            $this->connection->insert(
                'INSERT INTO ledger (channel_id, viewer_id, kind, unit, delta, amount, event_key, presence, at) VALUES '
                    .implode(',', array_fill(0, count($some), "(?,?,?,?,?,?,'',?,UTC_TIMESTAMP(3))"))
                    .' ON DUPLICATE KEY UPDATE delta = delta + VALUES(delta), amount = VALUES(amount), at = VALUES(at)',
                array_merge(
                    ...array_map(
                        fn (Change $one): array => [
                            $this->channel,
                            $this->kept->viewers->numberOf($one->key->owner->of) ?? 0,
                            Balances::FIELD,
                            $one->key->name,
                            $one->added ?? 0,
                            is_int($one->to) ? $one->to : 0,
                            $presence,
                        ],
                        $some,
                    ),
                ),
            );
        }
    }

    /** @param  list<Change>  $changes */
    private function tell(array $changes, Cause $cause, string $eventKey): void
    {
        if ($cause->actor === ActorKind::Viewer) {
            $this->kept->viewers->find($this->connection, [$cause->id]);
        }
        $viewer = fn (Change $change): int => $change->key->owner->kind === OwnerKind::Viewer
            ? $this->kept->viewers->numberOf($change->key->owner->of) ?? 0
            : 0;
        $byViewer = $cause->actor === ActorKind::Viewer ? $this->kept->viewers->numberOf($cause->id) ?? 0 : 0;
        $byUser = $cause->actor === ActorKind::User ? (int) $cause->id : null;
        $this->insert(
            'memory_history',
            [
                'channel_id',
                'kind',
                'name',
                'owner',
                'viewer_id',
                '`before`',
                'after',
                'added',
                'by_viewer_id',
                'user_id',
                'command',
                'event_key',
                'act',
            ],
            array_map(
                fn (Change $change): array => [
                    $this->channel,
                    $change->key->kind->value,
                    $change->key->name,
                    $change->key->owner->id,
                    $viewer($change),
                    self::json($change->from),
                    self::json($change->to),
                    $change->added,
                    $byViewer,
                    $byUser,
                    Fold::caseless($cause->command),
                    $eventKey,
                    $cause->act === '' ? null : $cause->act,
                ],
                $changes,
            ),
            ['at'],
        );
        $booked = array_filter(
            $changes,
            static fn (Change $change): bool => in_array($change->key->kind, [Kind::Field, Kind::Goods], true)
                && (is_int($change->to) || is_int($change->from)),
        );
        if ($booked !== []) {
            $whole = static fn (null|bool|int|string|array $value): int => is_int($value) ? $value : 0;
            $this->insert(
                'ledger',
                ['channel_id', 'viewer_id', 'kind', 'unit', 'delta', 'amount', 'event_key'],
                array_map(
                    fn (Change $change): array => [
                        $this->channel,
                        $viewer($change),
                        $change->key->kind === Kind::Goods ? Balances::GOODS : Balances::FIELD,
                        $change->key->name,
                        $whole($change->to) - $whole($change->from),
                        $whole($change->to),
                        $eventKey,
                    ],
                    $booked,
                ),
                ['at'],
            );
        }
    }

    private function queue(Turn $turn, string $eventKey): void
    {
        $sayings = $turn->sayingsToQueue();
        if ($sayings === []) {
            return;
        }
        $isTaken = $this->takes !== null && ($this->takes)($sayings);
        $command = $turn->cause()->command;
        $rows = array_map(
            fn (int $position, Saying $saying): array => [
                $this->channel,
                $eventKey,
                $position,
                $saying->text,
                $saying->voice->value,
                $saying->place->value,
                $saying->answerTo,
                $saying->to,
                $command,
                $isTaken ? 'handed' : 'queued',
            ],
            array_keys($sayings),
            $sayings,
        );
        $this->insert(
            'outgoing',
            [
                'channel_id',
                'event_key',
                'position',
                'text',
                'voice',
                'place',
                'answer_to',
                'to_login',
                'command',
                'state',
            ],
            $rows,
            $isTaken ? ['queued_at', 'handed_at'] : ['queued_at'],
        );
    }

    /** Each is carried out after the commit, once. */
    private function keepEffects(Turn $turn, string $eventKey): void
    {
        foreach ($turn->effectsToKeep() as $place => $awaited) {
            if (! $awaited instanceof Awaited) {
                throw new LogicException('An effect that cannot be kept: '.$awaited::class);
            }
            $by = $awaited->effect->by();
            $this->kept->viewers->make($this->connection, [$by->id => $by->login]);
            $this->insert(
                'effects',
                ['channel_id', 'event_key', 'state', 'deed', 'effect', 'goes_on', 'by_viewer_id'],
                [[
                    $this->channel,
                    $place === 0 ? $eventKey : "$eventKey#$place",
                    'waiting',
                    $awaited->effect->deed(),
                    json_encode($awaited->effect->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    json_encode(AwaitedFormat::write($awaited->then), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    $this->kept->viewers->numberOf($by->id) ?? 0,
                ]],
                ['asked_at'],
            );
        }
    }

    /**
     * @param  list<string>  $columns  of our own writing, never people's text
     * @param  array<int, list<int|string|null>>  $rows
     * @param  list<string>  $now  columns for the moment, by the database's clock: several machines write, and each has
     *     its own
     */
    private function insert(string $table, array $columns, array $rows, array $now): void
    {
        $marks =
            '('
            .implode(',', [...array_fill(0, count($columns), '?'), ...array_fill(0, count($now), 'UTC_TIMESTAMP(3)')])
            .')';
        foreach (array_chunk($rows, ByKind::ROWS) as $some) {
            $this->connection->insert(
                "INSERT INTO $table ("
                    .implode(',', [...$columns, ...$now])
                    .') VALUES '
                    .implode(',', array_fill(0, count($some), $marks)),
                array_merge(...$some),
            );
        }
    }

    /** @param  null|bool|int|string|array<string, mixed>  $value */
    private static function json(null|bool|int|string|array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    private static function code(QueryException $exception): int
    {
        $info = $exception->errorInfo;

        return is_array($info) && is_int($info[1] ?? null) ? $info[1] : 0;
    }
}
