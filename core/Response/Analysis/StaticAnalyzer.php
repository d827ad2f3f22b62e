<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Source\Limits;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Number;

/**
 * Goes through a response once, before anybody says a line, and tells what its values can be. It errs on one side only:
 * what it says is never shorter than what can be said, and a gap or nothing that can come is always told.
 */
final class StaticAnalyzer extends EstimateContext
{
    /** @var list<EstimatedSlot> */
    private array $slots = [];

    /** @var list<EstimatedCondition> */
    private array $conditions = [];

    /** @var array<string, ValueEstimate> by folded name */
    private array $bound = [];

    /** @var array<string, ValueEstimate> by key */
    private array $values = [];

    /** @var array<string, true> keys of what is there, since a condition around has asked for it */
    private array $there = [];

    /** @var array<string, ValueEstimate> what verbs before have kept, by key */
    private array $kept = [];

    /** Conditions that decide whether what is looked at is said. */
    private int $branches = 0;

    /** Steps that all its filters take together at most. */
    private int $work = 0;

    private ResponseCache $prepared;

    /** @var array<string, true> facts and lists whose own text is looked at */
    private array $within = [];

    /** @var array<string, true> what a verb before has counted with */
    private array $numbers = [];

    /**
     * @param  list<string>  $triggers  any of which sets it off
     * @param  Lengths|null  $lengths  of the pack's channel, where several responses are looked at
     * @param  bool  $isUsual  whether details of channels and people have their usual lengths: then it may be shorter
     *     than what can be said
     */
    public static function of(
        Response $response,
        Pack $pack,
        ChatProfile $profile,
        array $triggers,
        ?Lengths $lengths = null,
        bool $isUsual = false,
        ResponseCache $prepared = new ResponseCache,
    ): ResponseEstimate {
        $analyzer = new self($pack, $profile, $triggers, $lengths ?? Lengths::of($pack->channel), $isUsual);
        $analyzer->prepared = $prepared;
        $extent = $analyzer->parts($response->parts)->atMost(Limits::SAID);

        return new ResponseEstimate(
            $extent,
            $analyzer->slots,
            $analyzer->conditions,
            $analyzer->values,
            $analyzer->longestTyped(),
            $analyzer->work,
        );
    }

    public function value(Expression $expression): ValueEstimate
    {
        $key = $expression->key();
        $estimate = $expression->estimate($this);
        if ($key !== null) {
            // Wherever it stands: what is kept in one place says nothing of the others.
            $this->values[$key] = $estimate;
            $estimate = $this->kept[$key] ?? $estimate;
        }

        return match (true) {
            $key === null => $estimate,
            isset($this->numbers[$key]) && $estimate->isOnly(ValueKind::Text) => ValueEstimate::text(
                1,
                Number::LONGEST_TYPED,
            ),
            isset($this->there[$key]) => $estimate->known(),
            default => $estimate,
        };
    }

    /** @param  list<Part>  $parts */
    private function parts(array $parts): LengthBounds
    {
        $extent = LengthBounds::none();
        $before = [$this->there, $this->numbers, $this->kept];
        $isOpen = false;
        foreach ($parts as $part) {
            $length = $part->extent($this);
            // A sign that a viewer ends with can melt with the one that the author goes on with.
            $isMelting = $isOpen && $part instanceof Text && preg_match('/^[^\x00-\x7F]/', $part->text) === 1;
            $extent = $extent->plus($isMelting ? $length->oneShorter() : $length);
            $isOpen = $part->isOpen();
        }
        [$this->there, $this->numbers, $kept] = $before;
        // What is known from before a branch holds behind it only where nothing in the branch has changed it.
        $this->kept = array_filter(
            $kept,
            fn (ValueEstimate $one, string $key): bool => ($this->kept[$key] ?? null) === $one,
            ARRAY_FILTER_USE_BOTH,
        );

        return $extent;
    }

    public function slot(Slot $slot): LengthBounds
    {
        $estimate = $this->value($slot->value);
        $estimate = $slot->isQuiet ? $estimate : $estimate->printed();
        $this->slots[] = new EstimatedSlot($slot, $estimate, $this->branches > 0);
        if ($slot->as !== '') {
            $this->bound[$slot->as] = $slot->isQuiet ? $estimate : $estimate->withoutGaps();
        }
        // What fails here is not said at all, so whatever follows may count on it.
        $this->there += array_fill_keys($slot->value->needs(), true);
        $this->numbers += array_fill_keys($slot->value->countsWith(), true);
        if ($slot->isQuiet) {
            return LengthBounds::none();
        }
        // What others have chosen can begin with a sign that melts with the one before it.
        $isFree =
            $estimate->written === null
            && array_intersect(
                [ValueKind::Text->name, ValueKind::Person->name, ValueKind::Items->name],
                array_column($estimate->kinds, 'name'),
            ) !== [];

        return new LengthBounds(
            max(0, $estimate->shortest - ($isFree ? 1 : 0)),
            $estimate->longest,
            $estimate->isTyped ? $estimate->longest : 0,
            $estimate->bytes,
        );
    }

    public function choice(Choice $choice): LengthBounds
    {
        $extent = null;
        $bound = $this->bound;
        $there = $this->there;
        $afterwards = [];
        foreach ($choice->branches as $branch) {
            $this->there = $there;
            $this->conditions[] = new EstimatedCondition(
                $branch->condition,
                $this->value($branch->condition),
                $branch->span,
                $this->branches > 0 || $extent !== null,
            );
            $this->there = $there + array_fill_keys($branch->condition->thereWhen(true), true);
            $inside = $this->inBranch($branch->parts);
            $extent = $extent === null ? $inside : $extent->or($inside);
            $afterwards += array_diff_key($this->bound, $bound);
            $this->bound = $bound;
            $there += array_fill_keys($branch->condition->thereWhen(false), true);
        }
        $this->there = $there;
        $otherwise = $this->inBranch($choice->otherwise);
        $afterwards += array_diff_key($this->bound, $bound);
        $this->bound =
            $bound + array_map(static fn (ValueEstimate $one): ValueEstimate => $one->orNothing(), $afterwards);

        return $extent === null ? $otherwise : $extent->or($otherwise);
    }

    /** @param  list<Part>  $parts */
    private function inBranch(array $parts): LengthBounds
    {
        $this->branches++;
        $extent = $this->parts($parts);
        $this->branches--;

        return $extent;
    }

    public function own(string $text, string $place): ValueEstimate
    {
        $fails = ValueEstimate::text(0, Limits::SAID)->orGap(GapReason::OwnResponseFails);
        if (isset($this->within[$place])) {
            return $fails;
        }
        $inside = new self($this->pack, $this->profile, $this->triggers, $this->lengths, $this->isUsual);
        $inside->within = $this->within + [$place => true];
        $response = $this->prepared->response($text);
        $inside->prepared = $this->prepared;
        $extent = $inside->parts($response->parts)->atMost(Limits::SAID);
        $this->work += $inside->work;
        $canFail = array_filter($inside->slots, static fn (EstimatedSlot $slot): bool => $slot->estimate->gaps !== []);
        $estimate = ValueEstimate::text($extent->shortest, $extent->longest, $extent->bytes);

        return $canFail === [] && $response->isReadable() && $response->changedPlaces() === []
            ? $estimate
            : $estimate->orGap(GapReason::OwnResponseFails);
    }

    public function bound(string $name): ValueEstimate
    {
        return $this->bound[$name] ?? ValueEstimate::nothing();
    }

    /**
     * What was set is read back as it is now. Another way to the same place (the target may be the caller) is not known
     * any more.
     */
    public function keep(Expression $place, string $part, ValueEstimate $kept): void
    {
        $this->kept = array_filter(
            $this->kept,
            static fn (string $key): bool => ! str_ends_with($key, ".$part"),
            ARRAY_FILTER_USE_KEY,
        );
        $key = $place->key();
        if ($key !== null && $kept->kinds !== []) {
            $this->kept[$key] = $kept->withoutGaps();
        }
    }

    public function work(int $steps): void
    {
        $this->work += $steps;
    }
}
