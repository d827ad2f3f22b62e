<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Source\Limits;
use SilverParrot\Value\Number;

/** What a field takes: numbers from and up to, texts no longer than. */
final readonly class FieldLimits
{
    /**
     * @param  int|null  $least  of a number; null for none
     * @param  int|null  $most  of a number; null for none
     * @param  int  $longest  of a text, in characters
     */
    public function __construct(
        public ?int $least = null,
        public ?int $most = null,
        public int $longest = Limits::FIELD_TEXT,
    ) {
    }

    public function admits(int|Number $number): bool
    {
        return ($this->least === null || Number::compare($number, $this->least) >= 0)
            && ($this->most === null || Number::compare($number, $this->most) <= 0);
    }

    /** "from 0 to 120", "from 0", "up to 120"; empty without limits */
    public function inWords(): string
    {
        return match (true) {
            $this->least !== null && $this->most !== null => "from {$this->least} to {$this->most}",
            $this->least !== null => "from {$this->least}",
            $this->most !== null => "up to {$this->most}",
            default => '',
        };
    }
}
