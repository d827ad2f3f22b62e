<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use Closure;

/** The parts of a list, before anybody says a line. Many can be short and one long: together they are bounded, too. */
final readonly class Many
{
    /** Beyond this nobody counts; all that is longer than a value may be is too long alike. */
    private const MOST = 1_000_000;

    private function __construct(public ValueEstimate $item, public int $most, public int $together, public int $bytes)
    {
    }

    public static function of(ValueEstimate $item, int $most): self
    {
        return new self($item, $most, min(self::MOST, $most * $item->longest), min(self::MOST, $most * $item->bytes));
    }

    /** What one text is divided into: no part is empty, and something stands between them. */
    public static function divided(ValueEstimate $text): self
    {
        return new self(
            $text->asText(1, $text->longest, $text->bytes),
            intdiv($text->longest + 1, 2),
            $text->longest,
            $text->bytes,
        );
    }

    /** @param  Closure(ValueEstimate): ValueEstimate  $change */
    public function each(Closure $change): self
    {
        // What is put on to each is put on to none as well, and comes as often as there are parts.
        [$all, $none] = [
            $change(ValueEstimate::text(0, $this->together, $this->bytes)),
            $change(ValueEstimate::text(0, 0)),
        ];

        return new self(
            $change($this->item),
            $this->most,
            $all->longest + max(0, $this->most - 1) * $none->longest,
            $all->bytes + max(0, $this->most - 1) * $none->bytes,
        );
    }

    /** How long they are with something between each two. */
    public function joined(int $joint, int $bytes): ValueEstimate
    {
        $joints = max(0, $this->most - 1);

        return ValueEstimate::text(
            0,
            min(self::MOST, $this->together + $joints * $joint),
            min(self::MOST, $this->bytes + $joints * $bytes),
        );
    }

    public function orElse(self $other): self
    {
        return new self(
            $this->item->orElse($other->item),
            max($this->most, $other->most),
            max($this->together, $other->together),
            max($this->bytes, $other->bytes),
        );
    }
}
