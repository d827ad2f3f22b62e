<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\RunsNothing;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\RunCommand;
use SilverParrot\Hearing\Steps\RunCount;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** A command that runs another: with its words, as one that is kept whole or not at all, and never in a circle. */
final class RunCommandTest extends TestCase
{
    public function test_the_other_is_run_with_the_words_that_were_filled_in_by_the_same_person(): void
    {
        $outcome = self::hear(
            self::runs('!a', new Say('first [words]'), new RunCommand('!b', 'to [word 1], [caller]')),
            Say::on('!b', '[trigger] heard “[words]” of [caller]')->gated(ForLevels::atLeast(Level::Streamer)),
        );
        self::assertSame(['first port bow', '!b heard “to port, Tamsin” of Tamsin'], $outcome->texts());
    }

    public function test_all_of_it_is_kept_or_nothing(): void
    {
        $count = Say::on('!b', '[add 1 to counter.planks] planks');
        $done = self::hear(self::runs('!a', new Say('[add 1 to counter.planks]'), new RunCommand('!b')), $count);
        self::assertSame(['4', '5 planks'], $done->texts());
        self::assertSame([5], array_values(array_map(
            static fn ($change): mixed => $change->to,
            array_filter(
                $done->changes,
                static fn ($change): bool => $change->key->id() === Key::counter('planks')->id(),
            ),
        )));
        $failed = self::hear(
            self::runs('!a', new RunCommand('!b'), new Say('[1 / 0]')),
            $count,
        );
        self::assertSame([[], []], [$failed->texts(), $failed->authoredChanges()]);
    }

    public function test_what_is_switched_off_is_passed_over_and_circles_and_strangers_fail_and_are_found(): void
    {
        $off = self::hear(
            self::runs('!a', new RunCommand('!b'), new Say('on')),
            Say::on('!b', 'x')->gated(new Enabled(false)),
        );
        self::assertSame(['on'], $off->texts());
        foreach (
            [
                'there is no such command' => [self::runs('!a', new RunCommand('!nobody'))],
                'that leads back to it' => [
                    self::runs('!a', new Say('x'), new RunCommand('!b')),
                    self::runs('!b', new RunCommand('!c')),
                    self::runs('!c', new RunCommand('!a')),
                ],
            ] as $why => $commands
        ) {
            $outcome = self::hear(...$commands);
            self::assertNotNull($outcome->failed);
            self::assertSame([], $outcome->texts());
            self::assertContains($why, array_map(
                static fn (Finding $one): string => (string) $one->data['why'],
                (new RunsNothing)->look(CheckContext::at(
                    Pack::blank()->withCommands(array_values($commands)),
                    new CheckEnvironment,
                )),
            ));
        }
        self::assertSame([], (new RunsNothing)->look(CheckContext::at(
            Pack::blank()->withCommands([self::runs('!a', new RunCommand('!b')), Say::on('!b', 'x')]),
            new CheckEnvironment,
        )));
    }

    public function test_commands_that_run_many_that_run_many_come_to_an_end(): void
    {
        $chain = [];
        for ($depth = 0; $depth < 3; $depth++) {
            $chain[] = self::runs("!$depth", ...array_fill(0, 20, new RunCommand('!'.($depth + 1))));
        }
        $chain[] = Say::on('!3', 'x');
        self::assertNotNull(self::hear(self::runs('!a', new RunCommand('!0')), ...$chain)->failed);
        $many = self::hear(
            self::runs('!a', ...array_fill(0, RunCount::MOST, new RunCommand('!b'))),
            Say::on('!b', 'x'),
        );
        self::assertCount(RunCount::MOST, $many->texts());
    }

    private static function runs(string $trigger, Say|RunCommand ...$steps): Command
    {
        return Say::on($trigger, new CommandResponse(array_values($steps)))->gated(Cooldown::none());
    }

    private static function hear(Command ...$commands): Outcome
    {
        $pack = World::pack()->withCommands(array_values($commands));

        return (new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream()))->line(
            'line',
            World::people()[0]->person(),
            '!a port bow',
            Moment::fromIso(World::NOW) ?? new Moment(0),
        );
    }
}
