<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Source\Limits;

/** What nodes, names and filters know when they estimate what they can be. */
abstract class EstimateContext
{
    /**
     * @param  list<string>  $triggers  any of which triggers the response
     * @param  bool  $isUsual  whether details get as long as they do where such chats are, and not as long as any can
     */
    public function __construct(
        public readonly Pack $pack,
        public readonly ChatProfile $profile,
        public readonly array $triggers,
        public readonly Lengths $lengths,
        public readonly bool $isUsual = false,
    ) {
    }

    /** What an expression can be where it stands. */
    abstract public function value(Expression $expression): ValueEstimate;

    abstract public function slot(Slot $slot): LengthBounds;

    abstract public function choice(Choice $choice): LengthBounds;

    /** What a fact or an item says that is a response itself. */
    abstract public function own(string $text, string $place): ValueEstimate;

    /** What a name given with `as` can be. */
    abstract public function bound(string $name): ValueEstimate;

    /**
     * A place was written.
     *
     * @param  string  $part  the last one of its path
     */
    abstract public function keep(Expression $place, string $part, ValueEstimate $kept): void;

    /** So many steps of work may be done. */
    abstract public function work(int $steps): void;

    /** Code points of a detail of the channel or a person: “category”. */
    public function longestDetail(string $name): int
    {
        return $this->isUsual ? $this->profile->longestDetails[$name] ?? Limits::READING : Limits::READING;
    }

    /** Code points that can be typed after the shortest trigger, in one line of this chat. */
    public function longestTyped(): int
    {
        return max(
            1,
            $this->line() - 1 - ($this->triggers === [] ? 1 : min(array_map(mb_strlen(...), $this->triggers))),
        );
    }

    /** Code points of a whole line. */
    public function line(): int
    {
        return min(Limits::LINE, $this->profile->longestCharacters ?? $this->profile->longestLineBytes ?? Limits::LINE);
    }
}
