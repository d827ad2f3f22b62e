<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** A point in time, to the millisecond. Where a zone matters, it is asked for. */
final readonly class Moment implements Value
{
    /** 0001-01-01T00:00:00Z and 9999-12-31T23:59:59.999Z: years of four digits, as ISO 8601 writes them. */
    private const FIRST = -62_135_596_800_000;

    private const LAST = 253_402_300_799_999;

    /**
     * @param  int  $millis since 1970-01-01T00:00:00Z
     * @param  string  $pattern  by which it is written where no filter says another; empty for as the language does
     * @param  bool  $isYearly  whether it comes again each year: then it is the one to come, and the last one lies
     *     a year before
     */
    public function __construct(public int $millis, public string $pattern = '', public bool $isYearly = false)
    {
    }

    public function writtenBy(string $pattern): self
    {
        return new self($this->millis, $pattern, $this->isYearly);
    }

    public static function of(\DateTimeInterface $date): self
    {
        return new self($date->getTimestamp() * 1000 + intdiv((int) $date->format('u'), 1000));
    }

    /** ISO 8601: a date, or a date with a time; in the zone where none is written. Null where it is none. */
    public static function fromIso(string $text, \DateTimeZone $zone = new \DateTimeZone('UTC')): ?self
    {
        if (
            preg_match(
                '/^(\d{4})-(\d\d)-(\d\d)(?:[T ](\d\d):(\d\d)(?::(\d\d)(?:\.(\d{1,6}))?)?(Z|[+-]\d\d:?\d\d)?)?$/D',
                trim($text),
                $part,
            ) !== 1
        ) {
            return null;
        }
        if (
            ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])
            || (int) ($part[4] ?? 0) > 23
            || (int) ($part[5] ?? 0) > 59
            || (int) ($part[6] ?? 0) > 59
        ) {
            return null;
        }
        $whole = strlen(trim($text)) === 10 ? trim($text).'T00:00:00' : trim($text);
        try {
            $moment = self::of(new \DateTimeImmutable($whole, $zone));
        } catch (\Exception) {
            return null;
        }

        return $moment->canBeWritten() ? $moment : null;
    }

    /** Whether it lies in the years that can be written. */
    public function canBeWritten(): bool
    {
        return $this->millis >= self::FIRST && $this->millis <= self::LAST;
    }

    /** The same day of the year, from now on; the 29th of February falls on the 28th where there is none. */
    public function yearly(self $now, \DateTimeZone $zone): self
    {
        $today = self::of($now->in($zone)->setTime(0, 0));
        $year = (int) $today->in($zone)->format('Y');
        $coming = $this->inYear($year, $zone);

        return $coming->millis >= $today->millis ? $coming : $this->inYear($year + 1, $zone);
    }

    /** When a yearly one was the last time: today, or on the same day before. */
    public function lastTime(self $now, \DateTimeZone $zone): self
    {
        $year = (int) $now->in($zone)->format('Y');
        $thisYear = $this->inYear($year, $zone);

        return $thisYear->millis <= $now->millis ? $thisYear : $this->inYear($year - 1, $zone);
    }

    private function inYear(int $year, \DateTimeZone $zone): self
    {
        $here = $this->in($zone);
        $month = (int) $here->format('n');
        $days = (int) $here->setDate($year, $month, 1)->format('t');

        return new self(
            self::of($here->setDate($year, $month, min((int) $here->format('j'), $days)))->millis,
            $this->pattern,
            true,
        );
    }

    public function plusMillis(int $millis): self
    {
        return new self($this->millis + $millis);
    }

    public function in(\DateTimeZone $zone): \DateTimeImmutable
    {
        $seconds = intdiv($this->millis - (($this->millis % 1000) + 1000) % 1000, 1000);

        return (new \DateTimeImmutable('@'.$seconds))
            ->setTimezone($zone)
            ->modify(sprintf('+%d milliseconds', $this->millis - $seconds * 1000))
            ?: new \DateTimeImmutable('@'.$seconds);
    }

    public function iso(): string
    {
        return $this->in(new \DateTimeZone('UTC'))->format(
            $this->millis % 1000 === 0 ? 'Y-m-d\TH:i:s\Z' : 'Y-m-d\TH:i:s.v\Z',
        );
    }
}
