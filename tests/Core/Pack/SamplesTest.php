<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Sample;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\WorkedExample;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

final class SamplesTest extends TestCase
{
    public function test_every_sample_says_something_with_and_without_words_and_nothing_is_found_on_it(): void
    {
        foreach ([World::pack(), Pack::blank()] as $names) {
            foreach (Sample::cases() as $sample) {
                $command = $sample->command($names);
                $found = array_map(
                    static fn (Finding $finding): string => $finding->sentence(),
                    Checks::ofCommand($command, $names, CheckEnvironment::at(Moment::fromIso(World::NOW))),
                );
                self::assertSame([], $found, $sample->value);
                $pack = $names->withCommand($command);
                foreach (['', ' @odo', ' for tea'] as $words) {
                    $rehearsal = new Rehearsal($pack, new InitialState, '1', ChatProfile::stream());
                    $outcome = $rehearsal->line(
                        'e',
                        Person::known('1', 'bram', 'Bram', Levels::of(Level::Moderator)),
                        $command->trigger.$words,
                        new Moment(0),
                    );
                    self::assertNotSame(
                        [],
                        $outcome->texts(),
                        "{$sample->value}$words: {$outcome->failed?->getMessage()}",
                    );
                    self::assertDoesNotMatchRegularExpression('/  | [,.]|[\[\]]/', $outcome->texts()[0]);
                }
            }
        }
    }

    public function test_every_worked_example_says_something_and_only_the_count_needs_a_counter(): void
    {
        foreach ([World::pack(), Pack::blank()] as $names) {
            foreach (WorkedExample::cases() as $example) {
                $command = Say::on('!a', $example->response($names));
                $errors = array_filter(
                    Checks::ofCommand($command, $names, CheckEnvironment::at(Moment::fromIso(World::NOW))),
                    static fn (Finding $finding): bool => $finding->isError(),
                );
                $needs = $example === WorkedExample::Count && $names->counters === [];
                self::assertCount($needs ? 1 : 0, $errors, $example->value);
                $rehearsal = new Rehearsal($names->withCommand($command), new InitialState, '1', ChatProfile::stream());
                $said = $rehearsal->line(
                    'e',
                    Person::known('1', 'bram', 'Bram', Levels::of(Level::Moderator)),
                    "!a {$example->typed()}",
                    Moment::fromIso(World::NOW) ?? new Moment(0),
                )->texts();
                self::assertCount($needs ? 0 : 1, $said, $example->value);
            }
        }
        self::assertCount(10, WorkedExample::cases());
    }
}
