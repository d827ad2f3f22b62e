<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\LastingChanges;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** What a rehearsal has changed, as it would be kept in the real memory. */
final class LastingChangesTest extends TestCase
{
    private const LINES = [
        '!plank' => '[add 1 to counter.planks]',
        '!splinter' => '[add word 1 to counter.splinters]',
        '!visit' => '[add 1 to counter.visits]',
        '!earn' => '[add word 1 to caller.pebbles]',
        '!spend' => '[take word 1 from caller.pebbles]',
        '!boat' => '[set caller.boat to words]',
    ];

    /** Bram of the cast is nobody in the real chat. */
    private const PEOPLE = ['tamsin' => 'account:t1', 'odo' => 'account:o1'];

    public function test_whatever_is_kept_adds_up_and_leaves_what_was_there_in_place(): void
    {
        $random = new Randomizer(new Mt19937(21));
        for ($round = 0; $round < 60; $round++) {
            $lines = [];
            for ($at = $random->getInt(1, 12); $at > 0; $at--) {
                $trigger = array_keys(self::LINES)[$random->getInt(0, count(self::LINES) - 1)];
                $lines[] = [['tamsin', 'bram', 'odo'][$random->getInt(0, 2)], "$trigger {$random->getInt(1, 9)}"];
            }
            $heard = $this->heard($lines);
            $real = $this->real();
            $lasting = LastingChanges::of($heard, self::PEOPLE);
            $changes = $lasting->in(new CompleteView($real), self::pack(), Moment::fromIso(World::NOW));
            self::assertIsArray($changes);
            $after = array_replace($real, ...array_map(
                static fn (Change $one): array => [$one->key->id() => $one->to],
                $changes,
            ));
            foreach (['splinters', 'visits'] as $counter) {
                self::assertSame(
                    $after[Key::counter($counter, Owner::total())->id()] ?? 0,
                    self::sum($after, $counter),
                    $counter,
                );
            }
            foreach (self::PEOPLE as $login => $id) {
                $added = array_sum(array_map(
                    static fn (Heard $one): int => $one->by?->login !== $login ? 0 : array_sum(array_map(
                        static fn (Change $one): int => $one->key->kind === Kind::Field ? (int) $one->added : 0,
                        $one->outcome->changes,
                    )),
                    $heard,
                ));
                self::assertSame(100 + $added, $after[Key::field('pebbles', $id)->id()]);
            }
            self::assertSame([], preg_grep('/cast-/', array_map(
                static fn (Change $one): string => $one->key->id(),
                $changes,
            )), 'nothing is kept of the cast');
            self::assertSame([], array_diff($lasting->left, ['bram']));
        }
    }

    public function test_what_is_another_meanwhile_or_more_than_there_is_keeps_everything_out(): void
    {
        $in = fn (array $lines, array $real): array|Message => LastingChanges::of($this->heard($lines), self::PEOPLE)
            ->in(new CompleteView($real + $this->real()), self::pack(), Moment::fromIso(World::NOW));
        self::assertEquals(
            new Message('keeping.changed-meanwhile', ['what' => 'counter.planks']),
            $in([['odo', '!earn 2'], ['odo', '!plank']], [Key::counter('planks')->id() => 4]),
        );
        self::assertEquals(
            new Message('keeping.not-that-much', ['who' => 'tamsin']),
            $in([['odo', '!plank'], ['tamsin', '!spend 9']], [Key::field('pebbles', 'account:t1')->id() => 8]),
        );
        self::assertCount(1, (array) $in([['tamsin', '!spend 8']], [Key::field('pebbles', 'account:t1')->id() => 8]));
    }

    /**
     * @param  list<array{string, string}>  $lines
     * @return list<Heard>
     */
    private function heard(array $lines): array
    {
        $pack = self::pack();
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream(), traced: false);
        $heard = [];
        foreach ($lines as $at => [$by, $line]) {
            $person = $rehearsal->person($by);
            self::assertNotNull($person);
            $outcome = $rehearsal->line(
                "line $at",
                $person,
                $line,
                (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis($at * 60_000),
            );
            $heard[] = new Heard(new TimedLine($at * 60_000, $by, $line), $person, $outcome, $at);
        }

        return $heard;
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> what it began with, of real people */
    private function real(): array
    {
        $real = array_filter(
            World::situation(self::pack())->memory,
            static fn (string $id): bool => ! str_contains($id, 'cast-'),
            ARRAY_FILTER_USE_KEY,
        );
        foreach (self::PEOPLE as $id) {
            $real[Key::field('pebbles', $id)->id()] = 100;
        }

        return $real;
    }

    private static function pack(): Pack
    {
        $world = World::pack();
        $commands = [];
        foreach (self::LINES as $trigger => $text) {
            $commands[] = Say::on($trigger, $text)->gated(Cooldown::none());
        }

        return new Pack(
            $world->channel,
            commands: $commands,
            counters: $world->counters,
            fields: $world->fields,
            cast: World::people(),
        );
    }

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $memory */
    private static function sum(array $memory, string $counter): int
    {
        $sum = 0;
        foreach ($memory as $id => $number) {
            $key = Key::fromId($id);
            $isOf = $key?->kind === Kind::Counter && $key->name === $counter;
            $sum += $isOf && $key->owner->kind !== OwnerKind::Total && is_int($number) ? $number : 0;
        }

        return $sum;
    }
}
