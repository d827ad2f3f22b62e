<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/** Where a reading came from: how its answer was had, how old it was, how long it took, what the path met. */
final readonly class ReadingOrigin
{
    public const ASKED = 'asked';

    public const KEPT = 'kept';

    public const CANNED = 'canned';

    /**
     * @param  string  $how  one of the above
     * @param  int  $age  seconds
     * @param  int  $took  milliseconds; 0 where nobody knows
     * @param  string  $raw  empty where nothing was met
     * @param  string  $name  of a canned result; empty for none
     */
    public function __construct(
        public string $how,
        public int $age = 0,
        public int $took = 0,
        public string $raw = '',
        public string $name = '',
    ) {
    }

    /** In the log, beside the reading. */
    public function kept(): string
    {
        return "{$this->how} {$this->age} {$this->took} {$this->raw}";
    }

    public static function fromKept(string $kept): ?self
    {
        return preg_match('/^('.self::ASKED.'|'.self::KEPT.') (\d{1,9}) (\d{1,9}) (.*)$/Ds', $kept, $part) === 1
            ? new self($part[1], (int) $part[2], (int) $part[3], $part[4])
            : null;
    }
}
