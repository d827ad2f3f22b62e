<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Needs;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Trace\ChangePresenter;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Reads;
use SilverParrot\Response\Response;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use SilverParrot\World as HeardIn;

/** Runs the cases of language/*.test. Their form is described in language/README.md. */
final class LanguageTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>}> */
    public static function cases(): iterable
    {
        foreach (glob(__DIR__.'/language/*.test') ?: [] as $file) {
            foreach (CaseFile::read($file) as $name => $case) {
                yield $name => [$case];
            }
        }
    }

    /** @param  array<string, string>  $case */
    #[DataProvider('cases')]
    public function test_what_is_said(array $case): void
    {
        $pack = World::pack($case['language'] ?? 'en', $case['zone'] ?? 'UTC');
        $source = $case['source'];
        // What is said has no findings, or the case names them.
        if (isset($case['finds']) || isset($case['says'])) {
            $found = array_map(
                static fn (Finding $finding): string => trim(
                    "{$finding->kind->code()} {$finding->span?->from}-{$finding->span?->to} "
                        .($finding->replacement ?? ''),
                ),
                Response::of($source)->findings($pack),
            );
            self::assertSame($case['finds'] ?? '', implode('; ', $found));
        }
        if (
            ! array_intersect_key($case, [
                'says' => 1,
                'says one of' => 1,
                'says between' => 1,
                'fails' => 1,
                'changes' => 1,
            ])
        ) {
            return;
        }
        $outcome = $this->say($source, $case);
        // Without a trace it goes another way, to the same end.
        $untraced = $this->say($source, $case, isTraced: false);
        self::assertEquals(
            [$outcome->texts(), $outcome->changes, $outcome->failed?->reason, $outcome->failed?->span],
            [$untraced->texts(), $untraced->changes, $untraced->failed?->reason, $untraced->failed?->span],
        );
        $text = implode("\n", $outcome->texts());
        if (isset($case['says'])) {
            self::assertNull($outcome->failed, (string) $outcome->failed?->getMessage());
            self::assertSame($case['says'], $text);
        }
        if (isset($case['says one of'])) {
            self::assertContains($text, explode(' | ', $case['says one of']));
        }
        if (isset($case['says between'])) {
            [$low, $high] = explode(' ', $case['says between']);
            self::assertGreaterThanOrEqual((int) $low, (int) $text);
            self::assertLessThanOrEqual((int) $high, (int) $text);
        }
        if (isset($case['fails'])) {
            self::assertSame($case['fails'], $outcome->failed?->reason);
            self::assertSame([], $outcome->authoredChanges(), 'what fails changes nothing');
        }
        if (isset($case['changes'])) {
            $changes = array_map(static function ($change): string {
                $told = ChangePresenter::change($change);

                return "{$told['what']} {$told['scope']} {$told['from']} → {$told['to']}";
            }, $outcome->authoredChanges());
            self::assertSame($case['changes'], $changes === [] ? 'none' : implode('; ', $changes));
        }
    }

    /**
     * Hears with a store that gives nothing until it is asked: every case is also a test that what is needed is asked
     * for, in two rounds at most.
     *
     * @param  array<string, string>  $case
     */
    private function say(string $source, array $case, bool $isTraced = true): Outcome
    {
        $pack = World::pack($case['language'] ?? 'en', $case['zone'] ?? 'UTC')->withCommand(
            Say::on('!say', $source)->gated(Cooldown::none()),
        );
        $situation = World::situation($pack, ($case['odo'] ?? '') !== 'unseen');
        $store = new InMemoryStore($situation->memory);
        $now = Moment::fromIso(World::NOW);
        self::assertNotNull($now);
        $line = new ChatLine(
            'case',
            $this->caller($case),
            '!say '.strtr($case['words'] ?? '', ['\u200B' => "\u{200B}", '\t' => "\t"]),
            $now,
        );
        $talker = new EventHandler;
        $reads = Reads::of();
        for ($rounds = 0; ; $rounds++) {
            $world = new HeardIn(
                $pack,
                $store->snapshot($reads),
                $situation->readings(),
                $now,
                new KeyedChance($case['seed'] ?? '1', 'case'),
                ChatProfile::stream(),
                $isTraced,
            );
            $outcome = $talker->hear($line, $world);
            if (! $outcome instanceof Needs) {
                return $outcome;
            }
            self::assertLessThan(2, $rounds, 'two rounds of fetching are enough');
            $reads = $reads->and($outcome->reads);
        }
    }

    /** @param  array<string, string>  $case */
    private function caller(array $case): Person
    {
        foreach (World::people() as $member) {
            if ($member->login === ($case['caller'] ?? 'tamsin')) {
                $person = $member->person();
            }
        }
        self::assertTrue(isset($person));
        $levels = isset($case['levels'])
            ? Levels::of(
                ...array_map(
                    static fn (string $word): Level => Level::named($word) ?? Level::Everyone,
                    explode(',', $case['levels']),
                ),
            )
            : $person->levels;

        return Person::known($person->id, $person->login, $case['name'] ?? $person->name, $levels, $person->tier);
    }
}
