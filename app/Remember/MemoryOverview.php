<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use App\Storage\Viewers;
use App\Wording\Sentences;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\LongestRun;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Reset;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/** What a channel remembers, as an author reads it. */
final readonly class MemoryOverview
{
    /** Numbers of one counter that are shown; the highest come first. */
    private const NUMBERS = 8;

    private const HISTORY = 60;

    /** Numbers of one counter that are looked at, the highest first. */
    private const MOST = 1_000;

    public function __construct(
        private Connection $connection,
        private Assembler $assembler,
        private Sentences $sentences,
    ) {
    }

    /**
     * @return list<array{counter: Counter, about: string,
     *     numbers: list<array{owner: string, scope: string, number: int}>}>
     */
    public function counters(Channel $channel): array
    {
        $pack = $this->assembler->names($channel);
        $now = Moment::of(now());
        // The demo gives some of its cast numbers; these are nobody whom the chat has seen, and have their names here
        // alone.
        $cast = array_combine(
            array_map(static fn (CastMember $one): string => $one->person()->id, $pack->cast),
            array_map(static fn (CastMember $one): string => $one->person()->name, $pack->cast),
        );
        $stream = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of(Key::stream()));
        $categories = self::categories($channel);
        $told = [];
        foreach ($pack->counters as $counter) {
            $period = Counted::period($counter, $stream, $now, $pack->channel->zone);
            $numbers = [];
            foreach ($this->rowsOf($channel, $counter) as [$owner, $scope, $kept]) {
                if ($counter->scope->hasOwner($owner)) {
                    $numbers[] = [
                        'owner' => $owner->id,
                        'scope' => match ($owner->kind) {
                            OwnerKind::Viewer => $cast[$owner->of] ?? $scope,
                            OwnerKind::Category => $categories[$owner->of] ?? $scope,
                            default => $scope,
                        },
                        'number' => Counted::number($counter, $kept, $period),
                    ];
                }
            }
            usort(
                $numbers,
                static fn (array $a, array $b): int => $b['number'] <=> $a['number'] ?: $a['scope'] <=> $b['scope'],
            );
            if ($numbers === [] && $counter->scope === CounterScope::Channel) {
                $numbers[] = ['owner' => Owner::channel()->id, 'scope' => 'channel', 'number' => $counter->start];
            }
            $told[] = [
                'counter' => $counter,
                'about' => implode(', ', array_map($this->sentences->of(...), self::about($counter))),
                'numbers' => array_slice($numbers, 0, self::NUMBERS),
            ];
        }

        return $told;
    }

    /** @return array<string, string> by name, in the channel's words; empty for those that were never set */
    public function occasions(Channel $channel): array
    {
        $pack = $this->assembler->names($channel);
        $keys = array_map(static fn ($occasion): Key => Key::occasion($occasion->id), $pack->occasions);
        $store = new MariaDbStore($this->connection, $channel->id);
        $view = $store->snapshot(Reads::of(...array_values($keys)));
        $runs = $store->snapshot(Reads::of(...array_values(array_map(
            static fn ($occasion): Key => Key::longestRun($occasion->id),
            $pack->occasions,
        )), ...array_values($keys)));
        $told = [];
        foreach ($pack->occasions as $name => $occasion) {
            $kept = $view->value($keys[$name]);
            $moment = is_string($kept) ? Moment::fromIso($kept) : null;
            $printer = new Printer($pack->channel);
            $now = Moment::of(now());
            $at = $moment !== null && $occasion->isYearly ? $moment->yearly($now, $pack->channel->zone) : $moment;
            $longest = LongestRun::of($occasion, $runs, $now);
            $told[$occasion->name] = $at === null
                ? ''
                : $printer->print($at).', '.$printer->relative($at, $now)
                    .($longest === null ? '' : "; the longest was {$printer->print($longest)}");
        }

        return $told;
    }

    /**
     * @param  Kind|null  $kind  with a name for one of them alone
     * @return list<array{id: int, at: Moment, what: string, scope: string, from: string, to: string, by: string,
     *     isUndone: bool}> newest first
     */
    public function history(Channel $channel, ?Kind $kind = null, string $name = ''): array
    {
        /**
         * @var list<object{id: int, kind: string, name: string, owner: string, before: string, after: string,
         *     at: string, undone: int, viewer: string|null, person: string|null, user: string|null}> $rows
         */
        $rows = $this->connection->select(
            "SELECT h.id, h.kind, h.name, h.owner, h.`before`, h.after, h.at, h.undone, u.name AS user,
                COALESCE(NULLIF(v.name, ''), v.login) AS viewer, COALESCE(NULLIF(b.name, ''), b.login) AS person
             FROM memory_history h LEFT JOIN viewers v ON v.id = h.viewer_id
                LEFT JOIN viewers b ON b.id = h.by_viewer_id LEFT JOIN users u ON u.id = h.user_id
             WHERE h.channel_id = ?".($kind === null ? '' : ' AND h.kind = ? AND h.name = ?')
                .' ORDER BY h.id DESC LIMIT '
                .self::HISTORY,
            $kind === null ? [$channel->id] : [$channel->id, $kind->value, $name],
        );
        $names = self::namesOf($this->assembler->names($channel));
        $categories = self::categories($channel);
        $scope = static fn (Owner $owner, ?string $viewer): string => $owner->kind === OwnerKind::Category
            ? $categories[$owner->of] ?? $owner->of
            : self::scope($owner, $viewer);

        return array_map(
            static fn (object $row): array => [
                'id' => $row->id,
                'at' => Moment::fromIso($row->at) ?? new Moment(0),
                'what' => $row->kind === Kind::Quote->value
                    ? "quote {$row->name}"
                    : "{$row->kind}.".($names["{$row->kind} {$row->name}"] ?? $row->name),
                'scope' => $scope(Owner::fromId($row->owner) ?? Owner::channel(), $row->viewer),
                'from' => self::told($row->before),
                'to' => self::told($row->after),
                'by' => $row->person ?? ($row->user ?? 'somebody in the chat'),
                'isUndone' => (bool) $row->undone,
            ],
            $rows,
        );
    }

    /**
     * @return list<array{Owner, string, null|bool|int|string|array<string, mixed>}> whose it is, in words too, and what
     *     is kept
     */
    private function rowsOf(Channel $channel, Counter $counter): array
    {
        $kept = [];
        foreach (
            $this->connection->select(
                "SELECT c.owner_kind, c.category, c.number, c.period, v.service, v.service_id,
                    COALESCE(NULLIF(v.name, ''), v.login) AS viewer
                 FROM counter_numbers c LEFT JOIN viewers v ON v.id = c.viewer_id
                 WHERE c.channel_id = ? AND c.counter = ? ORDER BY c.number DESC LIMIT "
                    .self::MOST,
                [$channel->id, Fold::caseless($counter->id)],
            ) as $row
        ) {
            /**
             * @var object{owner_kind: string, category: string, number: int, period: string|null, service: string|null,
             *     service_id: string|null, viewer: string|null} $row
             */
            $owner = match (OwnerKind::from($row->owner_kind)) {
                OwnerKind::Channel => Owner::channel(),
                OwnerKind::Total => Owner::total(),
                OwnerKind::Category => Owner::category($row->category),
                OwnerKind::Viewer => Owner::viewer(Viewers::personId($row->service ?? '', $row->service_id ?? '')),
            };
            $kept[] = [
                $owner,
                self::scope($owner, $row->viewer),
                $row->period === null ? $row->number : ['n' => $row->number, 'of' => $row->period],
            ];
        }

        return $kept;
    }

    /** @return list<Message> what it counts, the most important first */
    private static function about(Counter $counter): array
    {
        $bounds = match (true) {
            $counter->floor !== null && $counter->ceiling !== null => 'from-to',
            $counter->floor !== null => 'from',
            $counter->ceiling !== null => 'up-to',
            default => null,
        };

        return [
            new Message("counters.scope-{$counter->scope->value}"),
            ...($counter->reset === Reset::Never ? [] : [new Message("counters.reset-{$counter->reset->value}")]),
            ...($bounds === null ? [] : [new Message("counters.$bounds", [
                'floor' => $counter->floor ?? 0,
                'ceiling' => $counter->ceiling ?? 0,
            ])]),
        ];
    }

    /** @return array<string, string> as the service writes them, by how they are kept */
    private static function categories(Channel $channel): array
    {
        $written = Assembler::environment($channel)->categories;

        return array_combine(array_map(Fold::caseless(...), $written), $written);
    }

    /** @return array<string, string> what definitions are called now, by kind and folded id */
    private static function namesOf(Pack $pack): array
    {
        $names = [];
        foreach (
            [
                Kind::Counter->value => $pack->counters,
                Kind::Field->value => $pack->fields,
                Kind::Goods->value => $pack->goods,
                Kind::Occasion->value => $pack->occasions,
            ] as $kind => $definitions
        ) {
            foreach ($definitions as $one) {
                $names["$kind ".Fold::caseless($one->id)] = $one->name;
            }
        }

        return $names;
    }

    private static function scope(Owner $owner, ?string $viewer): string
    {
        return match ($owner->kind) {
            OwnerKind::Category => $owner->of,
            OwnerKind::Viewer => $viewer ?? $owner->of,
            OwnerKind::Channel, OwnerKind::Total => 'channel',
        };
    }

    private static function told(string $json): string
    {
        $value = json_decode($json, true);

        return match (true) {
            $value === null => 'nothing',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && is_string($value['text'] ?? null) => "“{$value['text']}”",
            is_array($value) => is_int($value['n'] ?? null) ? (string) $value['n'] : '…',
            default => is_scalar($value) ? (string) $value : '…',
        };
    }
}
