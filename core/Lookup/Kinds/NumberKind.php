<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Kinds;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use DateTimeZone;
use SilverParrot\Lookup\Paths\FoundKind;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;

/** A number, exact as it was written: "1,410", "4.2 m", "1e3". */
final readonly class NumberKind implements ReadingKind
{
    /** Digits behind the point that are kept where nobody says how many. */
    public const DECIMALS = 6;

    /** Characters of one as it is said: a sign, 30 digits and a point. */
    public const LONGEST = 32;

    /**
     * @param  string  $unit  what the source writes around it, which is left out: "m", "°C", "€"
     * @param  int|null  $decimals  it is rounded to; null for as many as it has
     * @param  string  $sign  before its decimals
     */
    public function __construct(
        public string $unit = '',
        public ?int $decimals = null,
        public string $sign = '.',
    ) {
    }

    public static function key(): string
    {
        return 'number';
    }

    public function value(array $found, int $longest, DateTimeZone $zone): int|Number|null
    {
        return match ($found[0]->kind) {
            FoundKind::Number => $this->read($found[0]->text, '.'),
            FoundKind::Text => $this->read($this->withoutUnit($found[0]->text), $this->sign),
            default => null,
        };
    }

    public static function with(array $settings): self
    {
        return new self(
            (string) ($settings['unit'] ?? ''),
            is_int($settings['decimals'] ?? null) ? $settings['decimals'] : null,
            (string) ($settings['decimal_sign'] ?? '.'),
        );
    }

    public function settings(): array
    {
        return array_filter(
            [
                'unit' => $this->unit,
                'decimals' => $this->decimals,
                'decimal_sign' => $this->sign === '.' ? null : $this->sign,
            ],
            static fn (null|int|string $one): bool => $one !== null && $one !== '',
        );
    }

    private function withoutUnit(string $text): string
    {
        $text = trim((string) preg_replace('/[\s\x{A0}\x{202F}]+/u', ' ', $text));
        $unit = preg_quote($this->unit, '/');

        return $this->unit === '' ? $text : trim((string) preg_replace("/^$unit|$unit$/uD", '', $text, 1));
    }

    private function read(string $text, string $sign): int|Number|null
    {
        $text = strtr($text, ["\u{2212}" => '-']);
        // Thousands stand in threes: "1,410" is no 1.41, and "1,41" no 141.
        $groups = $sign === ',' ? '[. \']' : '[, \']';
        if (preg_match('/^[+-]?\d{1,3}(?:('.$groups.')\d{3})(?:\1\d{3}){0,8}(?!\d)/D', $text, $grouped) === 1) {
            $text = str_replace($grouped[1], '', $grouped[0]).mb_substr($text, mb_strlen($grouped[0]));
        }
        $decimal = preg_quote($sign, '/');
        if (preg_match("/^([+-]?\d{1,30})(?:$decimal(\d{1,30}))?(?:[eE]([+-]?\d{1,2}))?$/D", $text, $part) !== 1) {
            return null;
        }
        $number = Number::of(BigRational::of(BigDecimal::of(
            $part[1].'.'.(($part[2] ?? '') === '' ? '0' : $part[2]).(isset($part[3]) ? "e{$part[3]}" : ''),
        )));

        return $number instanceof Gap ? null : Number::rounded($number, $this->decimals ?? self::DECIMALS);
    }
}
