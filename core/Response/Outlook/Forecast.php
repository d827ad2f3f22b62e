<?php

declare(strict_types=1);

namespace SilverParrot\Response\Outlook;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\EndsGaps;
use SilverParrot\Response\Evaluation\Bounds;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Response;
use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Bound;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Change;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Not;
use SilverParrot\Response\Syntax\OrElse;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\SpanFrom;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Range;
use SilverParrot\Value\TimeSpan;

/**
 * Goes through a response once, before anybody says a line, and tells what its values can be. It errs on one side only:
 * what it says is never shorter than what can be said, and a gap or nothing that can come is always told.
 */
final class Forecast
{
    /** @var list<array{Slot, Outlook}> */
    private array $slots = [];

    /** @var list<array{Expression, Outlook, Span}> */
    private array $conditions = [];

    /** @var array<string, Outlook> by folded name */
    private array $bound = [];

    /** @var array<string, Outlook> by key */
    private array $values = [];

    /** @var array<string, true> what a condition around has asked for, see Asked */
    private array $there = [];

    /** @var array<string, Outlook> what verbs before have kept, by key */
    private array $kept = [];

    /** Steps that all its filters take together at most. */
    private int $work = 0;

    /** @var array<string, true> what a verb before has counted with */
    private array $numbers = [];

    /** @param  list<string>  $triggers  any of which sets it off */
    private function __construct(public readonly Pack $pack, public readonly ChatProfile $profile, public readonly array $triggers, public readonly Lengths $lengths)
    {
    }

    /**
     * @param  list<string>  $triggers  any of which sets it off
     * @param  Lengths|null  $lengths  of the pack's channel, where several responses are looked at
     */
    public static function of(Response $response, Pack $pack, ChatProfile $profile, array $triggers, ?Lengths $lengths = null): Prospect
    {
        $forecast = new self($pack, $profile, $triggers, $lengths ?? Lengths::of($pack->channel));
        $extent = $forecast->parts($response->parts)->atMost(Limits::SAID);

        return new Prospect($extent, $forecast->slots, $forecast->conditions, $forecast->values, $forecast->typedRoom(), $forecast->work);
    }

    /** Code points that can be typed after the shortest trigger, in one line of this chat. */
    public function typedRoom(): int
    {
        return max(1, $this->line() - 1 - ($this->triggers === [] ? 1 : min(array_map(mb_strlen(...), $this->triggers))));
    }

    /** Code points of a whole line. */
    public function line(): int
    {
        return min(Limits::LINE, $this->profile->longestCharacters ?? $this->profile->longestLineBytes ?? Limits::LINE);
    }

    public function value(Expression $expression): Outlook
    {
        $key = Asked::key($expression);
        $outlook = $this->evaluated($expression);
        if ($key !== null) {
            // Wherever it stands: what is kept in one place says nothing of the others.
            $this->values[$key] = $outlook;
            $outlook = $this->kept[$key] ?? $outlook;
        }

        return match (true) {
            $key === null => $outlook,
            isset($this->numbers[$key]) && $outlook->isOnly(ValueKind::Text) => Outlook::text(1, Number::LONGEST_TYPED),
            isset($this->there[$key]) => $outlook->known(),
            default => $outlook,
        };
    }

    /** @param  list<Part>  $parts */
    private function parts(array $parts): Extent
    {
        $extent = Extent::none();
        $before = [$this->there, $this->numbers, $this->kept];
        $isOpen = false;
        foreach ($parts as $part) {
            if ($part instanceof Text) {
                $length = Outlook::length($part->text);
                // A sign that a viewer ends with can melt with the one that the author goes on with.
                $isMelting = $isOpen && preg_match('/^[^\x00-\x7F]/', $part->text) === 1;
                $extent = $extent->plus(new Extent($length - ($isMelting ? 1 : 0), $length, 0, strlen($part->text)));
            } elseif ($part instanceof Slot) {
                $extent = $extent->plus($this->slot($part));
            } elseif ($part instanceof Choice) {
                $extent = $extent->plus($this->choice($part));
            }
            $isOpen = ! $part instanceof Text;
        }
        [$this->there, $this->numbers, $kept] = $before;
        // What is known from before a branch holds behind it only where nothing in the branch has changed it.
        $this->kept = array_filter($kept, fn (Outlook $one, string $key): bool => ($this->kept[$key] ?? null) === $one, ARRAY_FILTER_USE_BOTH);

        return $extent;
    }

    private function slot(Slot $slot): Extent
    {
        $outlook = $this->value($slot->value);
        $outlook = $slot->isQuiet ? $outlook : $outlook->printed();
        $this->slots[] = [$slot, $outlook];
        if ($slot->as !== '') {
            $this->bound[$slot->as] = $slot->isQuiet ? $outlook : $outlook->withoutGaps();
        }
        // What fails here is not said at all, so whatever follows may count on it.
        $this->there += array_fill_keys(Asked::neededBy($slot->value), true);
        $this->numbers += array_fill_keys(Asked::countedBy($slot->value), true);
        if ($slot->isQuiet) {
            return Extent::none();
        }
        // What others have chosen can begin with a sign that melts with the one before it.
        $isFree = $outlook->written === null && array_intersect([ValueKind::Text->name, ValueKind::Person->name, ValueKind::Items->name], array_column($outlook->kinds, 'name')) !== [];

        return new Extent(max(0, $outlook->shortest - ($isFree ? 1 : 0)), $outlook->longest, $outlook->isTyped ? $outlook->longest : 0, $outlook->bytes);
    }

    private function choice(Choice $choice): Extent
    {
        $extent = null;
        $bound = $this->bound;
        $there = $this->there;
        $afterwards = [];
        foreach ($choice->branches as [$condition, $parts, $span]) {
            $this->conditions[] = [$condition, $this->value($condition), $span];
            $this->there = $there + array_fill_keys(Asked::whenItHolds($condition), true);
            $inside = $this->parts($parts);
            $extent = $extent === null ? $inside : $extent->or($inside);
            $afterwards += array_diff_key($this->bound, $bound);
            $this->bound = $bound;
            $there += array_fill_keys(Asked::whenItFails($condition), true);
        }
        $this->there = $there;
        $otherwise = $this->parts($choice->otherwise);
        $afterwards += array_diff_key($this->bound, $bound);
        $this->bound = $bound + array_map(static fn (Outlook $one): Outlook => $one->orNothing(), $afterwards);

        return $extent === null ? $otherwise : $extent->or($otherwise);
    }

    private function evaluated(Expression $expression): Outlook
    {
        return match (true) {
            $expression instanceof Literal => $this->literal($expression),
            $expression instanceof Call => $expression->name->outlook($expression, $this)->orGap(...$this->gapsOf([...$expression->operands, ...array_values($expression->named), ...($expression->for === null ? [] : [$expression->for])])),
            $expression instanceof Words => Outlook::text(1, $this->typedRoom())->typed()->orNothing(),
            $expression instanceof Bound => $this->bound[$expression->name] ?? Outlook::nothing(),
            $expression instanceof OrElse => $this->orElse($expression),
            $expression instanceof AndAlso => $this->yesNo([$expression->left, $expression->right]),
            $expression instanceof Not => $this->yesNo([$expression->value]),
            $expression instanceof Comparison => $this->compared($expression),
            $expression instanceof Arithmetic => $this->sum($expression->operation, $this->value($expression->left), $this->value($expression->right)),
            $expression instanceof Minus => $this->sum(Operation::Minus, Outlook::whole(new Range(0, 0)), $this->value($expression->value)),
            $expression instanceof Roll => $this->roll($expression),
            $expression instanceof Either => array_reduce(array_slice($expression->options, 1), fn (Outlook $one, Expression $other): Outlook => $one->orElse($this->value($other)), $this->value($expression->options[0])),
            $expression instanceof SpanFrom => $this->spanFrom($this->value($expression->moment)),
            $expression instanceof Filtered => $this->filtered($expression),
            $expression instanceof Change => $this->changed($expression),
            default => Outlook::nothing()->orGap(GapReason::Unknown),
        };
    }

    private function literal(Literal $literal): Outlook
    {
        $value = $literal->value;

        return match (true) {
            is_string($value) => Outlook::written($value),
            is_int($value) => Outlook::whole(new Range($value, $value)),
            is_bool($value) => $this->lengths->yesNo(),
            $value instanceof Number => Outlook::exactly($value),
            default => Outlook::nothing(),
        };
    }

    private function orElse(OrElse $or): Outlook
    {
        $left = $this->value($or->left);
        if (! $left->mayBeNoValue()) {
            return $left;
        }
        $right = $this->value($or->right);
        if ($left->kinds === []) {
            return $right;
        }

        return $left->known()->orElse($right);
    }

    /** @param  list<Expression>  $of */
    private function yesNo(array $of): Outlook
    {
        return $this->lengths->yesNo()->orGap(...$this->gapsOf($of));
    }

    private function compared(Comparison $comparison): Outlook
    {
        $isAskedForNothing = $comparison->relation === Relation::Is && count($comparison->right) === 1 && $comparison->right[0] instanceof Literal && $comparison->right[0]->value === null;

        return $isAskedForNothing ? $this->lengths->yesNo() : $this->yesNo([$comparison->left, ...$comparison->right]);
    }

    private function sum(Operation $operation, Outlook $left, Outlook $right): Outlook
    {
        $moment = in_array(ValueKind::Moment, $left->kinds, true) ? $this->shifted($operation, $left, $right) : null;
        if ($moment !== null && $left->isOnly(ValueKind::Moment)) {
            return $moment;
        }
        [$left, $right] = [$left->asNumber(), $right->asNumber()];
        $gaps = [...$left->gaps, ...$right->gaps];
        if ($operation->needsDivisor() && ($right->range === null ? ! $right->written instanceof Number : $right->range->contains(0))) {
            $gaps[] = GapReason::DivisionByZero;
        }
        [$a, $b] = [$left->range, $right->range];
        $range = $a === null || $b === null ? null : match ($operation) {
            Operation::Plus => $a->plus($b),
            Operation::Minus => $a->plus($b->negated()),
            Operation::Times => $a->times($b),
            Operation::Rest => new Range(min(0, $b->low), max(0, $b->high)),
            Operation::Divided => null,
        };
        $number = match (true) {
            $range !== null => Outlook::whole($range),
            // Divided by a whole number, it gets no more digits before its point.
            $a !== null && $b !== null => Outlook::number($a->digits() + 2 + Number::DECIMALS),
            default => Outlook::number(),
        };

        $number = $number->orGap(...$gaps);

        return $moment === null ? $number : $number->orElse($moment);
    }

    /** A moment and a length of time. */
    private function shifted(Operation $operation, Outlook $left, Outlook $right): Outlook
    {
        $isLength = is_string($right->written) ? TimeSpan::secondsOf($right->written) !== null : $right->isOnly(ValueKind::Span) && ! $right->canBeNothing;
        $isShift = $operation === Operation::Plus || $operation === Operation::Minus;

        return $this->lengths->moment()->orGap(GapReason::TooFar, ...$left->gaps, ...($left->canBeNothing ? [GapReason::NothingToCount] : []), ...$right->gaps, ...($isLength && $isShift ? [] : [GapReason::WrongKind]));
    }

    private function roll(Roll $roll): Outlook
    {
        $from = $this->value($roll->from)->asNumber();
        $to = $roll->to === null ? $from : $this->value($roll->to)->asNumber();
        $gaps = [...$from->gaps, ...$to->gaps];
        if ($from->range === null || $to->range === null) {
            return Outlook::whole(new Range(-Limits::COUNTER, Limits::COUNTER))->orGap(GapReason::BadRoll, ...$gaps);
        }
        $range = $roll->to === null ? new Range(1, max(1, $from->range->high)) : $from->range->through($to->range);
        $isBad = $range->hasNoEnd() || (float) $range->high - (float) $range->low >= Limits::WIDEST_ROLL || ($roll->to === null && $from->range->low < 1);

        return Outlook::whole($range)->orGap(...$gaps, ...($isBad ? [GapReason::BadRoll] : []));
    }

    private function spanFrom(Outlook $moment): Outlook
    {
        $isDay = is_string($moment->written) && Moment::fromIso($moment->written, $this->pack->channel->zone) !== null;

        return $this->lengths->span()->orNothing()->orGap(...$moment->gaps, ...($moment->isOnly(ValueKind::Moment) || $isDay || $moment->kinds === [] ? [] : [GapReason::WrongKind]));
    }

    private function filtered(Filtered $filtered): Outlook
    {
        $value = $this->value($filtered->value);
        $arguments = array_map($this->value(...), $filtered->arguments);
        $named = array_map($this->value(...), $filtered->named);
        $this->work += Bounds::stepsFor($filtered->filter, $value->bytes);
        $outlook = $filtered->filter->outlook($value, $arguments, $named, $this);
        $gaps = $filtered->filter instanceof EndsGaps ? [] : $value->gaps;
        foreach ([...$arguments, ...array_values($named)] as $argument) {
            array_push($gaps, ...$argument->gaps);
        }

        return $outlook->orGap(...$gaps);
    }

    private function changed(Change $change): Outlook
    {
        $amount = $change->amount === null ? null : $this->value($change->amount);

        $kept = $change->verb->outlook($change->place->name->outlook($change->place, $this)->withoutGaps(), $amount);
        $this->keep($change->place, $kept);

        return $kept;
    }

    /** What was set is read back as it is now. Another way to the same place (the target may be the caller) is not known any more. */
    private function keep(Call $place, Outlook $kept): void
    {
        $part = $place->folded[count($place->folded) - 1];
        $this->kept = array_filter($this->kept, static fn (string $key): bool => ! str_ends_with($key, ".$part"), ARRAY_FILTER_USE_KEY);
        $key = Asked::key($place);
        if ($key !== null && $kept->kinds !== []) {
            $this->kept[$key] = $kept->withoutGaps();
        }
    }

    /**
     * @param  list<Expression>  $of
     * @return list<GapReason>
     */
    private function gapsOf(array $of): array
    {
        $gaps = [];
        foreach ($of as $one) {
            array_push($gaps, ...$this->value($one)->gaps);
        }

        return $gaps;
    }
}
