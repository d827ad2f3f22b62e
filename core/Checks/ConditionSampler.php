<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use Closure;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;
use SilverParrot\World;

/**
 * Which of the conditions of a choice can hold, found by trying all cases that can differ: each thing they ask for is
 * given every value at, below and above what it is compared with, as far as it can have them. What cannot be sampled
 * may hold or not, so an answer is never wrong, only missing. The conditions are asked as they are when something is
 * said.
 */
final class ConditionSampler
{
    /** Texts, and names of people, that nothing is compared with. */
    private const OTHERS = ['somebody', 'somebody_else'];

    /** Beyond so many, nothing is claimed. */
    private const MOST = 4_096;

    /** Likewise, of parts of conditions that are looked at over all cases: some twenty milliseconds. */
    private const MOST_LOOKS = 30_000;

    /** Likewise, of numbers that are written in one choice. */
    private const MOST_NUMBERS = 80;

    /** @var array<string, list<null|bool|int|string|Value>> what may be had, by the name it is bound to */
    private array $samples = [];

    /** @var list<int> whole numbers that something is compared with */
    private array $numbers = [];

    /** @var list<string> texts that something is compared with */
    private array $texts = [];

    /** Between two numbers with decimals lie others that nothing here would try. */
    private bool $hasDecimals = false;

    private bool $hasTooManyNumbers = false;

    private int $unknown = 0;

    /** @param  array<string, ValueEstimate>  $values  what is known of each thing, by its key */
    private function __construct(private readonly array $values)
    {
    }

    /**
     * @param  list<Expression>  $conditions  each is asked where those before it do not hold
     * @param  array<string, ValueEstimate>  $values
     * @return list<bool|null> whether it always or never holds where it is asked; null where that depends
     */
    public static function of(array $conditions, array $values, Pack $pack, ChatProfile $profile): array
    {
        return (new self($values))->tried($conditions, $pack, $profile);
    }

    /**
     * @param  list<Expression>  $conditions
     * @return list<bool|null>
     */
    private function tried(array $conditions, Pack $pack, ChatProfile $profile): array
    {
        $this->collect($conditions);
        $asked = array_map(
            fn (Expression $condition): Closure => ($this->sampled($condition) ?? $this->free($condition))->prepared(),
            $conditions,
        );
        $held = array_fill(0, count($conditions), false);
        $failed = $held;
        if (! $this->canBeTried($conditions)) {
            return array_fill(0, count($conditions), null);
        }
        $world = new World(
            $pack,
            new CompleteView,
            new CannedReadings,
            new Moment(0),
            new KeyedChance('', ''),
            $profile,
        );
        foreach (self::combined($this->samples) as $case) {
            $run = new EvaluationContext(
                $world,
                Invocation::of(null),
                '',
                new PendingReads,
                own: new OwnResponses(new ResponseCache),
            );
            foreach ($case as $name => $value) {
                $run->bind((string) $name, $value);
            }
            foreach ($asked as $at => $condition) {
                $value = $condition($run);
                $holds = Truth::of($value);
                $held[$at] = $held[$at] || $holds;
                $failed[$at] = $failed[$at] || (! $holds && ! $value instanceof Gap);
                if ($holds || $value instanceof Gap) {
                    break;
                }
            }
        }

        return array_map(
            static fn (bool $holds, bool $fails): ?bool => $holds && $fails ? null : $holds,
            $held,
            $failed,
        );
    }

    /** @param  list<Expression>  $conditions */
    private function canBeTried(array $conditions): bool
    {
        $looks = 0;
        foreach ($conditions as $condition) {
            $looks += iterator_count($condition->within());
        }
        // One by one, since a product of many has no end that an int could hold.
        $cases = 1;
        foreach ($this->samples as $samples) {
            $cases *= count($samples);
            if ($cases > self::MOST || $cases * $looks > self::MOST_LOOKS) {
                return false;
            }
        }

        return ! $this->hasTooManyNumbers;
    }

    /**
     * What things are compared with: all that is written, and where the ranges of the others end.
     *
     * @param  list<Expression>  $conditions
     */
    private function collect(array $conditions): void
    {
        $numbers = [0];
        $hasSums = false;
        foreach ($conditions as $condition) {
            foreach ($condition->within() as $one) {
                $hasSums = $hasSums || $one instanceof Arithmetic;
                $range = $one instanceof Roll ? self::rolled($one) : ($this->values[$one->key() ?? ''] ?? null)?->range;
                if ($range !== null) {
                    array_push($numbers, $range->low, $range->high);
                }
                $value = $one instanceof Literal ? $one->value : null;
                if (is_string($value)) {
                    $this->texts[] = $value;
                    $value = Number::typed($value);
                }
                if (is_int($value)) {
                    $numbers[] = $value;
                } elseif ($value instanceof Number) {
                    $this->hasDecimals = true;
                    $below = (int) floor((float) Number::digits($value));
                    array_push($numbers, $below, $below + 1);
                }
            }
        }
        $numbers = array_values(array_unique($numbers));
        if (count($numbers) > self::MOST_NUMBERS) {
            $this->hasTooManyNumbers = true;

            return;
        }
        // With “counter.planks + 2 > 10” the border is at a sum of what is written.
        foreach ($hasSums ? $numbers : [] as $a) {
            foreach ($numbers as $b) {
                array_push($this->numbers, Operation::Plus->whole($a, $b) ?? 0, Operation::Minus->whole($a, $b) ?? 0);
            }
        }
        // So near to the end of what an int holds, there is no number below or above to try.
        $this->numbers = array_values(
            array_filter(
                array_unique([...$numbers, ...$this->numbers]),
                static fn (int $one): bool => abs((float) $one) < PHP_INT_MAX >> 2,
            ),
        );
        $this->texts = array_values(array_unique($this->texts));
    }

    /** @return Expression|null the same, with names in place of what has samples; null where something has none */
    private function sampled(Expression $expression): ?Expression
    {
        return match (true) {
            $expression instanceof Literal => $expression,
            $expression instanceof Coalesce => new Coalesce(
                $this->sampled($expression->left) ?? $this->free($expression->left),
                $this->sampled($expression->right) ?? $this->free($expression->right),
            ),
            $expression instanceof AndAlso => new AndAlso(
                $this->sampled($expression->left) ?? $this->free($expression->left),
                $this->sampled($expression->right) ?? $this->free($expression->right),
            ),
            $expression instanceof Not => new Not(
                $expression->span(),
                $this->sampled($expression->value) ?? $this->free($expression->value),
            ),
            $expression instanceof Comparison => $this->compared($expression),
            $expression instanceof Arithmetic => $this->sum($expression),
            $expression instanceof Minus => $expression->value instanceof Literal ? $expression : null,
            $expression instanceof Roll => $this->roll($expression),
            default => $this->named($expression),
        };
    }

    /** What is compared or counted with: here it matters what it is, not only whether it is there. */
    private function value(Expression $expression): ?Expression
    {
        if (! $expression instanceof Coalesce) {
            return $this->sampled($expression);
        }
        [$left, $right] = [$this->value($expression->left), $this->value($expression->right)];

        return $left === null || $right === null ? null : new Coalesce($left, $right);
    }

    private function compared(Comparison $comparison): ?Comparison
    {
        if (in_array($comparison->relation, [Relation::Contains, Relation::StartsWith, Relation::EndsWith], true)) {
            return null;
        }
        $left = $this->value($comparison->left);
        $right = array_values(array_filter(array_map($this->value(...), $comparison->right)));

        return $left === null || $right === [] || count($right) < count($comparison->right)
            ? null
            : new Comparison($comparison->relation, $comparison->isNegated, $left, $right);
    }

    /** One thing and a written number: more than that has borders which samples would miss. */
    private function sum(Arithmetic $sum): ?Arithmetic
    {
        $isPlain =
            ($sum->operation === Operation::Plus || $sum->operation === Operation::Minus)
            && ($sum->left instanceof Literal || $sum->right instanceof Literal)
            && ! $sum->left instanceof Arithmetic
            && ! $sum->right instanceof Arithmetic;
        [$left, $right] = $isPlain ? [$this->value($sum->left), $this->value($sum->right)] : [null, null];

        return $left === null || $right === null ? null : new Arithmetic($sum->operation, $left, $right);
    }

    private function roll(Roll $roll): ?Variable
    {
        $range = self::rolled($roll);

        return $range === null ? null : $this->bound($roll, 'roll at '.$roll->span()->from, $this->numbersIn($range));
    }

    private static function rolled(Roll $roll): ?Range
    {
        $last = $roll->to ?? $roll->from;
        $from = $roll->from instanceof Literal ? $roll->from->value : null;
        $to = $last instanceof Literal ? $last->value : null;
        if (! is_int($from) || ! is_int($to)) {
            return null;
        }

        return $roll->to === null ? new Range(1, max(1, $from)) : new Range(min($from, $to), max($from, $to));
    }

    private function named(Expression $expression): ?Variable
    {
        $key = $expression->key();
        $estimate = $key === null ? null : $this->values[$key] ?? null;
        if ($key === null || $estimate === null || $estimate->kinds === []) {
            return null;
        }
        $samples = $estimate->canBeNothing ? [null] : [];
        foreach ($estimate->kinds as $kind) {
            $some = $this->samplesOf($kind, $estimate);
            if ($some === []) {
                return null;
            }
            array_push($samples, ...$some);
        }

        return $this->bound($expression, $key, $samples);
    }

    /** @return list<null|bool|int|string|Value> */
    private function samplesOf(ValueKind $kind, ValueEstimate $estimate): array
    {
        if (
            $this->hasDecimals
            && $estimate->range === null
            && ($kind === ValueKind::Number || $kind === ValueKind::Text)
            && $estimate->written === null
        ) {
            return [];
        }

        return match ($kind) {
            ValueKind::Number => $this->numbersIn($estimate->range),
            ValueKind::Text => is_string($estimate->written) ? [$estimate->written] : [
                ...$this->texts,
                ...array_map(strval(...), array_filter($this->numbersIn(null), is_int(...))),
                ...array_map(static fn (int $one): string => "$one.5", $this->numbers),
                ...Level::words(),
                ...self::OTHERS,
                ...($estimate->shortest === 0 ? [''] : []),
            ],
            ValueKind::YesNo => [true, false],
            ValueKind::Level => Level::cases(),
            ValueKind::Person => array_map(
                static fn (string $name): Person => Person::known(
                    "of $name",
                    ltrim(trim($name), '@'),
                    $name,
                    Levels::of(),
                ),
                [...$this->texts, ...self::OTHERS],
            ),
            ValueKind::Moment, ValueKind::TimeSpan, ValueKind::Items => [],
        };
    }

    /** @return list<int|Value> at, below and above each number that is compared with, and at the range's ends */
    private function numbersIn(?Range $range): array
    {
        $numbers = $range === null ? [] : [$range->low, $range->high];
        foreach ($this->numbers as $number) {
            array_push($numbers, $number - 1, $number, $number + 1);
        }
        $numbers = array_values(
            array_unique(
                array_filter($numbers, static fn (int $one): bool => $range === null || $range->contains($one)),
            ),
        );
        $between =
            $range !== null
                ? []
                : array_map(static fn (int $one): int|Value => Number::quotient(2 * $one + 1, 2), $this->numbers);

        return [...$numbers, ...$between];
    }

    /** @param  list<null|bool|int|string|Value>  $samples */
    private function bound(Expression $expression, string $name, array $samples): Variable
    {
        $this->samples[$name] ??= $samples;

        return new Variable($expression->span(), $name);
    }

    private function free(Expression $expression): Variable
    {
        return $this->bound($expression, 'unknown '.$this->unknown++, [true, false]);
    }

    /**
     * @param  array<string, list<null|bool|int|string|Value>>  $samples
     * @return iterable<array<string, null|bool|int|string|Value>>
     */
    private static function combined(array $samples): iterable
    {
        if ($samples === []) {
            yield [];

            return;
        }
        $name = array_key_first($samples);
        foreach (self::combined(array_slice($samples, 1)) as $others) {
            foreach ($samples[$name] as $value) {
                yield [$name => $value] + $others;
            }
        }
    }
}
