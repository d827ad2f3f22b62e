<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use DateTimeZone;
use SilverParrot\Lookup\Kinds\ReadingKind;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Lookup\Paths\FoundKind;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

/** One named value taken out of a look-up's answer: where it stands, what it is, and what counts as no value. */
final readonly class Reading
{
    /** Texts that count as missing. */
    public const MOST_MISSING = 20;

    /**
     * @param  string  $path  in the language of the look-up's format
     * @param  int  $longest  characters of a text, and of each item of a list
     * @param  bool  $isNoted  whether its number is noted when the stream begins, to tell what was gained since
     * @param  list<string>  $missing  what the source writes where it has no value: "n/a", "-999"
     */
    public function __construct(
        public string $name,
        public string $path,
        public ReadingKind $kind,
        public int $longest = Limits::READING,
        public array $missing = [],
        public bool $isNoted = false,
    ) {
    }

    /**
     * @param  list<Found>  $found  what the path meets
     * @param  DateTimeZone  $zone  of moments that are written without one
     */
    public function value(array $found, DateTimeZone $zone): bool|int|string|Value
    {
        $found = array_values(array_filter($found, $this->isThere(...)));
        if ($found === []) {
            return $this->gap(GapReason::LookupMissing);
        }

        return $this->kind->value($found, $this->longest, $zone) ?? $this->gap(GapReason::LookupOfAnotherKind);
    }

    public function gap(GapReason $reason): Gap
    {
        return new Gap($reason, ['name' => $this->name, 'kind' => $this->kind::key()]);
    }

    private function isThere(Found $found): bool
    {
        return $found->kind !== FoundKind::Nothing
            && ! in_array($found->text, $this->missing, true)
            && ($found->kind !== FoundKind::Text || trim($found->text) !== '');
    }
}
