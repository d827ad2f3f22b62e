<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\CaseFile;
use Tests\Core\Response\World;

/**
 * Every mend mends: with it there are fewer errors, none of a new kind, and a mend of anything else leaves fewer
 * findings.
 */
final class MendsTest extends TestCase
{
    public function test_every_mend_of_every_known_mistake_leaves_fewer(): void
    {
        $mends = 0;
        foreach ([__DIR__.'/seeded-mistakes.test', ...glob(__DIR__.'/../Response/language/*.test') ?: []] as $file) {
            foreach (CaseFile::read($file) as $case) {
                foreach (isset($case['finds']) ? self::found($case['source']) : [] as $finding) {
                    if ($finding->replacement !== null) {
                        $mends++;
                        $this->mends($case['source'], $finding);
                    }
                }
            }
        }
        self::assertGreaterThan(45, $mends);
    }

    /** @return iterable<string, array{string, string}> what was typed, and with its first mend */
    public static function habits(): iterable
    {
        foreach ([
            '[words.upper]' => '[words | upper]',
            '[words upper]' => '[words | upper]',
            '[when word 1 => 5]x[end]' => '[when word 1 >= 5]x[end]',
            '[when word 1 =< 5]x[end]' => '[when word 1 <= 5]x[end]',
            '[target or shore crew]' => '[target or "shore crew"]',
            '[words or nobody | cut 9]' => '[words or "nobody" | cut 9]',
            '[add 1 to planks]' => '[add 1 to counter.planks]',
            '[planks] planks' => '[counter.planks] planks',
            '[when caller.level is "mods"]x[end]' => '[when caller.level is "moderator"]x[end]',
            '[when caller.level is "subs"]x[end]' => '[when caller.level is "subscriber"]x[end]',
            '[when words | upper is "A"]x[end]' => '[when (words | upper) is "A"]x[end]',
            '[word1 or "x"]' => '[word 1 or "x"]',
            "[caller\u{00A0}or \"x\"]" => '[caller or "x"]',
            "[caller\u{200B}]" => '[caller]',
            '[3d6]' => '[roll 6 + roll 6 + roll 6]',
            '[roll 1, 6]' => '[roll 1 to 6]',
            'Hello.[end]' => 'Hello.',
            '[caller as target]' => '[caller as my_target]',
        ] as $typed => $meant) {
            yield $typed => [$typed, $meant];
        }
    }

    #[DataProvider('habits')]
    public function test_what_people_type_by_habit_is_mended_by_what_they_mean(string $typed, string $meant): void
    {
        $mends = array_values(
            array_filter(self::found($typed), static fn (Finding $one): bool => $one->replacement !== null),
        );
        self::assertNotSame([], $mends, 'there is a mend');
        self::assertSame($meant, self::mended($typed, $mends[0]));
    }

    public function test_a_guess_that_would_not_help_is_no_mend(): void
    {
        // Nothing is called so, with a line or with a hyphen.
        self::assertNull(self::found('[counter.my-planks]')[0]->replacement);
        self::assertNull(self::found('[zebra.stripes]')[0]->replacement);
    }

    private function mends(string $source, Finding $finding): void
    {
        [$before, $after] = [self::found($source), self::found($mended = self::mended($source, $finding))];
        $errors = static fn (array $findings): array => array_values(
            array_map(
                static fn (Finding $one): string => $one->kind->code(),
                array_filter($findings, static fn (Finding $one): bool => $one->isError()),
            ),
        );
        $told = "{$finding->kind->code()}: “{$source}” → “{$mended}”";
        if ($finding->isError()) {
            self::assertLessThan(count($errors($before)), count($errors($after)), $told);
        } else {
            self::assertLessThan(count($before), count($after), $told);
        }
        self::assertSame([], array_diff($errors($after), $errors($before)), $told);
    }

    private static function mended(string $source, Finding $finding): string
    {
        return mb_substr($source, 0, $finding->span->from ?? 0)
            .$finding->replacement
            .mb_substr($source, $finding->span->to ?? 0);
    }

    /** @return list<Finding> */
    private static function found(string $source): array
    {
        $command = Say::on('!a', $source);

        return array_values(
            array_filter(
                Checks::ofCommand(
                    $command,
                    World::pack()->withCommand($command),
                    CheckEnvironment::at(Moment::fromIso('2026-11-25') ?? new Moment(0)),
                ),
                static fn (Finding $one): bool => $one->at === '/responses/0/text',
            ),
        );
    }
}
