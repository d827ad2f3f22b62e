<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use IntlDateFormatter;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Lookup\Paths\FoundKind;
use SilverParrot\Value\Moment;

/** A moment: ISO 8601, the date of mails and feeds (RFC 5322), seconds since 1970, or a pattern (UTS #35). */
final readonly class MomentKind implements ReadingKind
{
    /** Of these there are no patterns. */
    public const FORMATS = ['', 'mail', 'seconds', 'milliseconds'];

    /**
     * @param  string  $format  one of these, empty for ISO 8601; or a pattern: "dd.MM.yyyy HH:mm"
     * @param  string  $zone  of what is written without one; empty for the channel's
     */
    public function __construct(public string $format = '', public string $zone = '')
    {
    }

    public static function key(): string
    {
        return 'moment';
    }

    public function value(array $found, int $longest, DateTimeZone $zone): ?Moment
    {
        $zone = $this->zone === '' ? $zone : new DateTimeZone($this->zone);
        $moment = match ($this->format) {
            'seconds' => self::since($found[0], 1_000),
            'milliseconds' => self::since($found[0], 1),
            '' => Moment::fromIso($found[0]->text, $zone),
            'mail' => self::written(DateTimeInterface::RFC2822, $found[0]->text),
            default => $this->patterned($found[0]->text, $zone),
        };

        return $moment?->canBeWritten() === true ? $moment : null;
    }

    public static function with(array $settings): self
    {
        return new self((string) ($settings['format'] ?? ''), (string) ($settings['zone'] ?? ''));
    }

    public function settings(): array
    {
        return array_filter(
            ['format' => $this->format, 'zone' => $this->zone],
            static fn (string $one): bool => $one !== '',
        );
    }

    private static function since(Found $found, int $millis): ?Moment
    {
        return in_array($found->kind, [FoundKind::Number, FoundKind::Text], true)
            && preg_match('/^-?\d{1,14}$/D', $found->text) === 1
            ? new Moment((int) $found->text * $millis)
            : null;
    }

    private static function written(string $format, string $text): ?Moment
    {
        $date = DateTimeImmutable::createFromFormat("!$format", trim($text))
            ?: DateTimeImmutable::createFromFormat('!D, d M Y H:i:s T', trim($text));

        return $date === false ? null : Moment::of($date);
    }

    private function patterned(string $text, DateTimeZone $zone): ?Moment
    {
        $reader = IntlDateFormatter::create(
            'en',
            IntlDateFormatter::NONE,
            IntlDateFormatter::NONE,
            $zone->getName(),
            IntlDateFormatter::GREGORIAN,
            $this->format,
        );
        $reader?->setLenient(false);
        $at = 0;
        $read = $reader?->parse(trim($text), $at);

        // ICU counts in its own units; either way all of the text must have been read.
        $isWhole = in_array($at, [strlen(trim($text)), mb_strlen(trim($text))], true);

        return $isWhole && (is_int($read) || is_float($read)) ? new Moment((int) ($read * 1_000)) : null;
    }
}
