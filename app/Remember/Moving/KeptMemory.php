<?php

declare(strict_types=1);

namespace App\Remember\Moving;

use App\Models\Channel;
use App\Remember\Viewers\Erasing;
use App\Storage\Assembler;
use App\Storage\ByKind;
use App\Storage\Shelves\Shelves;
use Closure;
use Illuminate\Database\Connection;
use SilverParrot\Format\KeptMemoryFormat;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Pack\Reset;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;

/** What a channel remembers, written as lines and read from them again, a few at a time however many there are. */
final readonly class KeptMemory
{
    /** Lines that are kept in one transaction: the channel is locked no longer than that takes. */
    private const AT_ONCE = 500;

    /** Mistakes that are told. */
    private const TOLD = 20;

    public function __construct(
        private Connection $connection,
        private Assembler $assembler,
        private Erasing $erasing,
    ) {
    }

    /** @return iterable<string> lines, each with its end */
    public function lines(Channel $channel): iterable
    {
        $pack = $this->assembler->names($channel);
        yield KeptMemoryFormat::head($channel->login)."\n";
        $shelves = new Shelves;
        foreach (KeptMemoryFormat::KINDS as $kind) {
            foreach ($shelves->of($kind)->each($this->connection, $channel->id, $kind) as [$key, $value]) {
                $line = KeptMemoryFormat::line($key, $value, $pack);
                if ($line !== null) {
                    yield "$line\n";
                }
            }
        }
    }

    /**
     * @param  iterable<string>  $lines
     * @return array{counts: array<string, int>, problems: list<string>, wrong: int} how many lines of each kind can be
     *     kept, and the first that cannot
     */
    public function look(Channel $channel, iterable $lines): array
    {
        $counts = $problems = [];
        $wrong = 0;
        foreach ($this->read($channel, $lines) as $number => $read) {
            if ($read[0] instanceof Key) {
                $kind = (string) array_search($read[0]->kind, KeptMemoryFormat::KINDS, true);
                $counts[$kind] = ($counts[$kind] ?? 0) + 1;
            } elseif (++$wrong <= self::TOLD) {
                $problems[] = "Line $number: ".self::told($read);
            }
        }

        return ['counts' => $counts, 'problems' => $problems, 'wrong' => $wrong];
    }

    /**
     * What is here under the same name is replaced; lines that cannot be read are left out.
     *
     * @param  iterable<string>  $lines
     * @param  (Closure(int): bool)|null  $progress  told how many are kept so far; whether it goes on
     * @return int how many were kept
     */
    public function bring(Channel $channel, iterable $lines, ?Closure $progress = null): int
    {
        $kept = 0;
        $some = [];
        foreach ($this->read($channel, $lines) as $read) {
            if ($read[0] instanceof Key) {
                /** @var array{Key, null|bool|int|string|array<string, mixed>} $read */
                $some[] = $read;
            }
            if (count($some) === self::AT_ONCE) {
                $this->keep($channel, $some);
                $kept += count($some);
                $some = [];
                if ($progress !== null && ! $progress($kept)) {
                    break;
                }
            }
        }
        $this->keep($channel, $some);
        $this->connection->transaction(function () use ($channel): void {
            $this->alone($channel);
            $this->addUp($channel);
            $this->book($channel);
        });
        $this->erasing->again($channel);

        return $kept + count($some);
    }

    /**
     * @param  iterable<string>  $lines
     * @return iterable<int, array{Key, null|bool|int|string|array<string, mixed>}|list<Finding>> by line, from 1
     */
    private function read(Channel $channel, iterable $lines): iterable
    {
        $pack = $this->assembler->names($channel);
        $number = 0;
        foreach ($lines as $line) {
            $line = trim($line);
            $number++;
            if ($number === 1) {
                $flaws = KeptMemoryFormat::readHead($line);
                if ($flaws !== []) {
                    yield 1 => $flaws;

                    return;
                }
            } elseif ($line !== '') {
                yield $number => KeptMemoryFormat::read($line, $pack);
            }
        }
    }

    /** @param  list<array{Key, null|bool|int|string|array<string, mixed>}>  $things */
    private function keep(Channel $channel, array $things): void
    {
        if ($things === []) {
            return;
        }
        $this->connection->transaction(function () use ($channel, $things): void {
            $this->alone($channel);
            $kept = new ByKind($this->connection, $channel->id);
            $keys = $changes = $logins = $before = $seen = [];
            foreach ($things as [$key, $value]) {
                $keys[$key->id()] = $key;
                if ($key->kind === Kind::Seen && is_array($value) && is_string($value['login'] ?? null)) {
                    $logins[$key->owner->of] = $value['login'];
                    $before[$key->owner->of] = $value['names_before'] ?? [];
                    $seen[$key->owner->of] = $value;
                }
            }
            $now = $kept->read($keys);
            foreach ($things as [$key, $value]) {
                $is = $now[$key->id()] ?? null;
                $has = is_int($is) ? $is : 0;
                if ($key->kind === Kind::LastQuote) {
                    $value = max($has, is_int($value) ? $value : 0);
                }
                // What is only added to is added to until it is as it was.
                $added = $key->kind->isTally() && is_int($value) ? $value - $has : null;
                $changes[$key->id()] = new Change($key, $is, $value, '', '', $added);
            }
            $kept->keep(array_values($changes), $logins);
            $this->callAsBefore($channel, $kept, $before);
            $this->seenAsOften($channel, $kept, $seen);
        });
    }

    /** One writer a channel, as in every turn; until the transaction ends. */
    private function alone(Channel $channel): void
    {
        $this->connection->selectOne('SELECT id FROM channels WHERE id = ? FOR UPDATE', [$channel->id]);
    }

    /** @param  array<array-key, mixed>  $names  that they had before, by person id */
    private function callAsBefore(Channel $channel, ByKind $kept, array $names): void
    {
        foreach ($names as $person => $before) {
            $number = $kept->viewers->numberOf((string) $person);
            foreach ($number !== null && is_array($before) ? array_filter($before, is_string(...)) : [] as $name) {
                $this->connection->insert(
                    'INSERT IGNORE INTO viewer_names (channel_id, name, viewer_id) VALUES (?, ?, ?)',
                    [$channel->id, Fold::caseless($name), $number],
                );
            }
            if ($number !== null && is_array($before) && $before !== []) {
                $this->connection->update(
                    "UPDATE viewers SET logins_before = ? WHERE channel_id = ? AND id = ? AND logins_before = '[]'",
                    [json_encode(array_values($before), JSON_THROW_ON_ERROR), $channel->id, $number],
                );
            }
        }
    }

    /** @param  array<array-key, array<string, mixed>>  $people  by person id; what is not told of them stays */
    private function seenAsOften(Channel $channel, ByKind $kept, array $people): void
    {
        foreach ($people as $person => $told) {
            $number = $kept->viewers->numberOf((string) $person);
            $known = array_filter(array_intersect_key($told, ['days' => true, 'minutes_here' => true]), is_int(...));
            if ($number !== null && $known !== []) {
                $this->connection
                    ->table('viewers')
                    ->where('channel_id', $channel->id)
                    ->where('id', $number)
                    ->update($known);
            }
        }
    }

    /** The sum that is kept beside a counter's numbers is always theirs. */
    private function addUp(Channel $channel): void
    {
        $pack = $this->assembler->names($channel);
        foreach ($pack->counters as $counter) {
            if ($counter->scope->hasSum() && $counter->reset === Reset::Never) {
                $sum = $this->connection->scalar(
                    'SELECT SUM(number) FROM counter_numbers
                     WHERE channel_id = ? AND counter = ? AND owner_kind = ?',
                    [$channel->id, Fold::caseless($counter->id), $counter->scope->value],
                );
                $key = Key::counter($counter->id, Owner::total());
                $sum = is_numeric($sum) ? (int) $sum : 0;
                (new ByKind($this->connection, $channel->id))->keep([new Change($key, null, $sum, '', '')]);
            }
        }
    }

    /** The ledger adds up to what everybody has: the difference is one entry each. */
    private function book(Channel $channel): void
    {
        $this->connection->insert(
            "INSERT INTO ledger (channel_id, viewer_id, kind, unit, delta, amount, event_key, at)
             SELECT b.channel_id, b.viewer_id, b.kind, b.unit, b.amount - COALESCE(l.sum, 0), b.amount, 'moved',
                UTC_TIMESTAMP(3)
             FROM balances b LEFT JOIN (
                SELECT viewer_id, kind, unit, SUM(delta) AS sum FROM ledger WHERE channel_id = ?
                GROUP BY viewer_id, kind, unit
             ) l ON l.viewer_id = b.viewer_id AND l.kind = b.kind AND l.unit = b.unit
             WHERE b.channel_id = ? AND b.kind IN ('field', 'goods') AND b.amount <> COALESCE(l.sum, 0)",
            [$channel->id, $channel->id],
        );
    }

    /** @param  array<array-key, mixed>  $flaws */
    private static function told(array $flaws): string
    {
        $first = $flaws[0] ?? null;

        return $first instanceof Finding ? trim("{$first->sentence()} {$first->mend()}") : '';
    }
}
