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
use SilverParrot\Pack\CounterSummary;
use SilverParrot\Pack\LongestRun;
use SilverParrot\Pack\Occasion;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** What a channel remembers, as an author reads it. */
final readonly class MemoryOverview
{
    /** Numbers of one counter that are shown; the highest come first. */
    private const NUMBERS = 8;

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
    public function counters(Channel $channel, ?Counter $only = null): array
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
        foreach ($only === null ? $pack->counters : [$only] as $counter) {
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
                'about' => implode(', ', array_map($this->sentences->of(...), CounterSummary::of($counter))),
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
        $reads = array_reduce(
            $pack->occasions,
            static fn (Reads $reads, Occasion $one): Reads => $reads->and(LongestRun::reads($one)),
            Reads::of(...array_values($keys)),
        );
        $memory = (new MariaDbStore($this->connection, $channel->id))->snapshot($reads);
        $printer = new Printer($pack->channel);
        $now = Moment::of(now());
        $told = [];
        foreach ($pack->occasions as $name => $occasion) {
            $kept = $memory->value($keys[$name]);
            $moment = is_string($kept) ? Moment::fromIso($kept) : null;
            $at = $moment !== null && $occasion->isYearly ? $moment->yearly($now, $pack->channel->zone) : $moment;
            $longest = LongestRun::of($occasion, $memory, $now);
            $told[$occasion->name] = $at === null
                ? ''
                : $printer->print($at).', '.$printer->relative($at, $now)
                    .($longest === null ? '' : "; the longest was {$printer->print($longest)}");
        }

        return $told;
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

    /** @return array<string, string> as the service writes them, by how they are kept */
    public static function categories(Channel $channel): array
    {
        $written = Assembler::environment($channel)->categories;

        return array_combine(array_map(Fold::caseless(...), $written), $written);
    }

    public static function scope(Owner $owner, ?string $viewer): string
    {
        return match ($owner->kind) {
            OwnerKind::Category => $owner->of,
            OwnerKind::Viewer => $viewer ?? $owner->of,
            OwnerKind::Channel, OwnerKind::Total => 'channel',
        };
    }
}
