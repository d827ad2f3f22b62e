<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

/** How long something said can get, in characters as people count them, before it is fitted to the chat. */
final readonly class LengthBounds
{
    /**
     * @param  int  $typed  how much of the longest is as long as a viewer likes
     * @param  int  $bytes  the most bytes
     */
    public function __construct(public int $shortest, public int $longest, public int $typed, public int $bytes)
    {
    }

    public static function none(): self
    {
        return new self(0, 0, 0, 0);
    }

    public static function ofText(string $text): self
    {
        $length = ValueEstimate::length($text);

        return new self($length, $length, 0, strlen($text));
    }

    public function plus(self $other): self
    {
        return new self(
            $this->shortest + $other->shortest,
            $this->longest + $other->longest,
            $this->typed + $other->typed,
            $this->bytes + $other->bytes,
        );
    }

    /** At its shortest. */
    public function oneShorter(): self
    {
        return new self($this->shortest - 1, $this->longest, $this->typed, $this->bytes);
    }

    /** One or the other. */
    public function or(self $other): self
    {
        return new self(
            min($this->shortest, $other->shortest),
            max($this->longest, $other->longest),
            max($this->typed, $other->typed),
            max($this->bytes, $other->bytes),
        );
    }

    public function atMost(int $characters): self
    {
        return new self(
            max(0, min($this->shortest, $characters)),
            min($this->longest, $characters),
            min($this->typed, $characters),
            $this->bytes,
        );
    }
}
