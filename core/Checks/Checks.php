<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\FindingKind;

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
            new TriggerTooCommon,
            new TriggerWithoutSign,
            new PhraseBroken,
            new TimerTooOften,
            new PhraseMisses,
            new RunsNothing,
            new PhraseShared,
            new TriggerAlike,
            ...GateSettings::checks(),
            new NothingDeclaredUsed,
            new CounterOutOfBounds,
            new StartDoesNotFit,
            new LadderMakesNoSense,
            new LookupMakesNoSense,
            new CastDoesNotFit,
            new ListOfBlanks,
            new OwnResponseBroken,
            new PartsWithoutAddress,
            new LeftAsPlaceholder,
            new ForeignSlot,
            new StrayBracket,
            new DayThatHasPassed,
            new InstructionByHalves,
            new TypedTextLeads,
            new AddressGone,
            new KeptAddressGone,
            new AddressStuck,
            new AddressUnescaped,
            new EmoteStuck,
            new EmoteMisspelt,
            new EmoteNotForThem,
            new CountAsCondition,
            new OrWithConstant,
            new OrBesideComparison,
            new ConstantCondition,
            new LoginWithSpace,
            new LevelIsHighest,
            new NeverHolds,
            new NameNeverUsed,
            new NameFromBranch,
            new CanBeNothing,
            new AlwaysFails,
            new BranchAlwaysFails,
            new MayNotChange,
            new CanFail,
            new GrowsTooLong,
            new AlwaysTooLong,
            new TooMuchWork,
            new UnknownCategory,
            new ItemBeyondList,
            new WordsBackwards,
            new PluralFormsMissing,
            new DatePatternMistaken,
            new SlotDayHasPassed,
        ];
    }

    /** @return list<Finding> */
    public static function of(
        Pack $pack,
        CheckEnvironment $around = new CheckEnvironment,
        ResponseCache $prepared = new ResponseCache,
    ): array {
        return self::look(CheckContext::at($pack, $around, $prepared), self::all());
    }

    /**
     * A check that fails says so and hinders no other: whoever writes, saves or publishes goes on.
     *
     * @param  list<Check>  $checks
     * @return list<Finding>
     */
    public static function look(CheckContext $looked, array $checks): array
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

    /** @return list<Check> those that say the same of a command whatever the others are */
    public static function ofEach(): array
    {
        return array_values(
            array_filter(self::all(), static fn (Check $check): bool => ! $check instanceof AcrossCommands),
        );
    }

    /** @return list<Check> */
    public static function acrossCommands(): array
    {
        return array_values(
            array_filter(self::all(), static fn (Check $check): bool => $check instanceof AcrossCommands),
        );
    }

    /** @return list<Check> those that may say something of a timer */
    public static function ofTimers(): array
    {
        return array_values(array_filter(self::all(), static fn (Check $check): bool => $check instanceof OfTimers));
    }

    /** @return list<Check> those that may say something of a command */
    public static function ofCommands(): array
    {
        return array_values(
            array_filter(self::all(), static fn (Check $check): bool => ! $check instanceof OfDefinitions),
        );
    }

    /** @return FindingKind|null the kind with a code, for findings that are kept */
    public static function kind(string $code): ?FindingKind
    {
        foreach (self::all() as $check) {
            if ($check instanceof FindingKind && $check->code() === $code) {
                return $check;
            }
        }

        return SyntaxErrorCode::tryFrom($code);
    }

    /**
     * What concerns one command, as it stands beside the names of a pack.
     *
     * @return list<Finding> their places counted from the command: "/responses/0/text"
     */
    public static function ofCommand(
        Command $command,
        Pack $names,
        CheckEnvironment $around = new CheckEnvironment,
        ResponseCache $prepared = new ResponseCache,
    ): array {
        return self::alone(
            self::look(CheckContext::at($names->withCommands([$command]), $around, $prepared), self::ofCommands()),
        );
    }

    /**
     * @param  list<Finding>  $found  of a pack with one command
     * @return list<Finding> what is about that command, with places counted from it
     */
    public static function alone(array $found): array
    {
        $findings = [];
        foreach ($found as $finding) {
            if (str_starts_with($finding->at, '/commands/0/') || $finding->kind instanceof NotLookedAt) {
                $findings[] = new Finding(
                    $finding->kind,
                    $finding->span,
                    substr($finding->at, strlen('/commands/0')),
                    $finding->data,
                    $finding->replacement,
                );
            }
        }

        return $findings;
    }
}
