<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Prepared;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;

/** All checks of a pack. A new one is one class and one line here. */
final class Checks
{
    /** @return list<Check> */
    public static function all(): array
    {
        return [
            new ResponsesReadable,
            new TriggerTaken,
            new TriggerTooLong,
            new AliasOfItself,
            new NothingToSay,
            ...GateSettings::checks(),
            new NothingDeclaredUsed,
            new LeftAsPlaceholder,
            new DayThatHasPassed,
            new InstructionByHalves,
            new TypedTextLeads,
            new AddressStuck,
            new AddressUnescaped,
            new EmoteStuck,
            new EmoteMisspelt,
            new EmoteNotForThem,
            new CountAsCondition,
            new OrWithConstant,
            new OrBesideComparison,
            new NeverHolds,
            new NameNeverUsed,
            new NameFromBranch,
            new CanBeNothing,
            new CanFail,
            new GrowsTooLong,
            new AlwaysTooLong,
            new TooMuchWork,
            new UnknownCategory,
        ];
    }

    /** @return list<Finding> */
    public static function of(Pack $pack, Surroundings $around = new Surroundings, Prepared $prepared = new Prepared): array
    {
        return self::look(Looked::at($pack, $around, $prepared), self::all());
    }

    /**
     * A check that fails says so and hinders no other: whoever writes, saves or publishes goes on.
     *
     * @param  list<Check>  $checks
     * @return list<Finding>
     */
    public static function look(Looked $looked, array $checks): array
    {
        $findings = [];
        foreach ($checks as $check) {
            try {
                $found = $check->look($looked);
            } catch (\Throwable $thrown) {
                $found = [NotLookedAt::by($check, $thrown)];
            }
            array_push($findings, ...$found);
        }

        return $findings;
    }

    /** @return array<int, int> how many findings there are on each command, by its place; those without any are left out */
    public static function countedByCommand(Pack $pack, Surroundings $around = new Surroundings): array
    {
        $counts = [];
        foreach (self::of($pack, $around) as $finding) {
            if (preg_match('#^/commands/(\d+)/#', $finding->at, $at) === 1) {
                $counts[(int) $at[1]] = ($counts[(int) $at[1]] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /**
     * What concerns one command, as it stands beside the names of a pack.
     *
     * @return list<Finding> their places counted from the command: "/responses/0/text"
     */
    public static function ofCommand(Command $command, Pack $names, Surroundings $around = new Surroundings, Prepared $prepared = new Prepared): array
    {
        $alone = $names->withCommands([$command]);
        $findings = [];
        foreach (self::of($alone, $around, $prepared) as $finding) {
            if (str_starts_with($finding->at, '/commands/0/') || $finding->kind instanceof NotLookedAt) {
                $findings[] = new Finding($finding->kind, $finding->span, substr($finding->at, strlen('/commands/0')), $finding->data, $finding->replacement);
            }
        }

        return $findings;
    }
}
