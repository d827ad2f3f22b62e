<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Response\Vocabulary\Verbs\FieldCell;
use SilverParrot\Value\Number;

/** All that is kept of one viewer. */
final readonly class PersonRecord
{
    private const LEDGER = 50;

    private const LINES = 30;

    /** Lines of the log that the page looks through for theirs, the last ones; the export looks through all. */
    private const LOOKED_AT = 20_000;

    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    /**
     * @return array<string, mixed>|null as the person's page and their export tell it; null for who is not there
     */
    public function of(Channel $channel, int $number, bool $isWhole = false): ?array
    {
        /**
         * @var object{id: int, service: string, service_id: string, login: string, name: string, levels: string,
         *     tier: int, first_seen: string|null, last_seen: string|null, lines: int|null, logins_before: string}|null
         *     $row
         */
        $row = $this->connection->selectOne('SELECT * FROM viewers WHERE channel_id = ? AND id = ?', [
            $channel->id,
            $number,
        ]);
        if ($row === null) {
            return null;
        }
        $id = Viewers::personId($row->service, $row->service_id);
        $pack = $this->assembler->names($channel);
        $memory = (new MariaDbStore($this->connection, $channel->id))->snapshot(self::reads($pack, $id));

        return [
            'id' => $id,
            'login' => $row->login,
            'name' => $row->name === '' ? $row->login : $row->name,
            'names_before' => self::json($row->logins_before),
            'levels' => self::json($row->levels),
            'tier' => $row->tier,
            'first_seen' => $row->first_seen,
            'last_seen' => $row->last_seen,
            'lines' => $row->lines ?? 0,
            'fields' => self::fields($memory, $id, $pack),
            'ranks' => self::ranks($memory, $id, $pack),
            'goods' => self::goods($memory, $id, $pack),
            'checked_in' => self::checkedIn($memory, $id),
            'ledger' => $this->ledger($channel, $number, $isWhole),
            'said' => $this->said($channel, $id, $isWhole),
        ];
    }

    private static function reads(Pack $pack, string $person): Reads
    {
        $keys = [Key::checkIn($person)];
        foreach ($pack->fields as $field) {
            array_push($keys, Key::field($field->id, $person), Key::everEarned($field->id, $person));
        }
        foreach ($pack->goods as $goods) {
            $keys[] = Key::goods($goods->id, $person);
        }

        return Reads::of(...$keys);
    }

    /** @return list<array{id: string, name: string, type: string, value: string, byHand: bool}> */
    private static function fields(View $memory, string $person, Pack $pack): array
    {
        $printer = new Printer($pack->channel);
        $fields = [];
        foreach ($pack->fields as $field) {
            $value = FieldCell::read($field, $memory->value(Key::field($field->id, $person)));
            $fields[] = [
                'id' => $field->id,
                'name' => $field->name,
                'type' => $field->type->value,
                'byHand' => $field->changes->byHand,
                'value' => $value === null ? '' : $printer->print($value),
            ];
        }

        return $fields;
    }

    /** @return list<string> "Bosun, by pebbles" */
    private static function ranks(View $memory, string $person, Pack $pack): array
    {
        $ranks = [];
        foreach ($pack->ladders as $name => $ladder) {
            $field = $pack->fields[$name] ?? null;
            if ($field === null) {
                continue;
            }
            $kept = $memory->value(
                $ladder->byEverEarned ? Key::everEarned($field->id, $person) : Key::field($field->id, $person),
            );
            $has = match (true) {
                ! $ladder->byEverEarned => FieldCell::read($field, $kept),
                default => is_int($kept) ? $kept : 0,
            };
            $rank = is_int($has) || $has instanceof Number ? $ladder->rank($has) : null;
            if ($rank !== null) {
                $ranks[] = "$rank, by {$field->name}".($ladder->byEverEarned ? ' ever earned' : '');
            }
        }

        return $ranks;
    }

    /** @return list<array{id: string, name: string, owns: int}> */
    private static function goods(View $memory, string $person, Pack $pack): array
    {
        $goods = [];
        foreach ($pack->goods as $one) {
            $owns = $memory->value(Key::goods($one->id, $person));
            $goods[] = ['id' => $one->id, 'name' => $one->name, 'owns' => is_int($owns) ? $owns : 0];
        }

        return $goods;
    }

    /** @return array<string, mixed> by day, run, longest and days; empty for who never did */
    private static function checkedIn(View $memory, string $person): array
    {
        $kept = $memory->value(Key::checkIn($person));

        return is_array($kept) ? $kept : [];
    }

    /** @return list<array{at: string, unit: string, delta: int, amount: int, presence: bool}> newest first */
    private function ledger(Channel $channel, int $number, bool $isWhole): array
    {
        /** @var list<object{at: string, unit: string, delta: int, amount: int, presence: string|null}> $rows */
        $rows = $this->connection->select(
            'SELECT at, unit, delta, amount, presence FROM ledger WHERE channel_id = ? AND viewer_id = ? ORDER BY id '
                .'DESC LIMIT '
                .($isWhole ? 1_000_000 : self::LEDGER),
            [$channel->id, $number],
        );

        return array_map(static fn (object $row): array => [
            'at' => $row->at,
            'unit' => $row->unit,
            'delta' => $row->delta,
            'amount' => $row->amount,
            'presence' => $row->presence !== null,
        ], $rows);
    }

    /** @return list<array{number: int, at: string, text: string, outcome: string}> what they said, newest first */
    private function said(Channel $channel, string $person, bool $isWhole): array
    {
        $last = $this->connection->table('heard_lines')->where('channel_id', $channel->id)->max('number');
        $after = is_numeric($last) && ! $isWhole ? max(0, (int) $last - self::LOOKED_AT) : 0;
        /** @var list<object{number: int, at: string, text: string, outcome: string}> $rows */
        $rows = $this->connection->select(
            "SELECT number, at, text, outcome FROM heard_lines WHERE channel_id = ? AND number > ? AND kind = 'heard' "
                ."AND JSON_VALUE(person, '$.id') = ? ORDER BY number DESC LIMIT "
                .($isWhole ? 1_000_000 : self::LINES),
            [$channel->id, $after, $person],
        );

        return array_map(static fn (object $row): array => [
            'number' => $row->number,
            'at' => $row->at,
            'text' => $row->text,
            'outcome' => $row->outcome,
        ], $rows);
    }

    /** Whether a field can be typed in on the page. */
    public static function isNumber(string $type): bool
    {
        return (FieldType::tryFrom($type) ?? FieldType::Text)->isNumber();
    }

    /** @return list<string> */
    private static function json(string $json): array
    {
        $list = json_decode($json, true);

        return is_array($list) ? array_values(array_filter($list, is_string(...))) : [];
    }
}
