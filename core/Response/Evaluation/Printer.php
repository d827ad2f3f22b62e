<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Items;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** How a value is said, in the channel's language and zone. */
final class Printer
{
    /** Units of a span, largest first, in seconds. Months and years depend on the calendar and are counted there. */
    private const UNITS = ['day' => 86_400, 'hour' => 3_600, 'minute' => 60, 'second' => 1];

    private ?string $decimalSign = null;

    public function __construct(private readonly Channel $channel)
    {
    }

    public function print(null|bool|int|string|Value $value): string
    {
        return match (true) {
            is_string($value) => $value,
            is_int($value) => (string) $value,
            $value === null => '',
            is_bool($value) => YesNo::word($value, $this->channel->language),
            $value instanceof Person => $value->name,
            $value instanceof Number => str_replace('.', $this->decimalSign(), Number::digits($value)),
            $value instanceof Level => $value->label(),
            $value instanceof Moment => $this->moment($value),
            $value instanceof TimeSpan => $this->span($value),
            $value instanceof Items => $this->list(array_map($this->print(...), $value->items)),
            default => '',
        };
    }

    /** With the language's grouping: 12,345.5 */
    public function grouped(int|Number $number): string
    {
        $format = new \NumberFormatter($this->channel->language, \NumberFormatter::DECIMAL);
        if (is_int($number)) {
            return (string) $format->format($number);
        }
        // The formatter would take a double and lose digits, so only the whole part goes through it.
        [$whole, $decimals] = explode('.', Number::digits($number)) + [1 => ''];
        $format->setAttribute(\NumberFormatter::FRACTION_DIGITS, 0);
        $text = strlen($whole) < 19 ? (string) $format->format((int) $whole) : $whole;

        return (str_starts_with($whole, '-') && $whole === '-0' ? $format->getSymbol(\NumberFormatter::MINUS_SIGN_SYMBOL) : '').$text.($decimals === '' ? '' : $this->decimalSign().$decimals);
    }

    /** @return string "one", "few", "many", "other" …: the CLDR category of the number in the channel's language */
    public function pluralCategory(int|Number $number): string
    {
        $category = \MessageFormatter::formatMessage(
            $this->channel->language,
            '{0, plural, zero{zero} one{one} two{two} few{few} many{many} other{other}}',
            [is_int($number) ? $number : (float) Number::digits($number)],
        );

        return $category === false ? 'other' : $category;
    }

    /** @param  string  $unit "day", "hour", "minute" or "second" */
    public function quantity(int $number, string $unit): string
    {
        $pattern = $this->resource('ICUDATA-unit', ['units', 'duration', $unit, $this->pluralCategory($number)])
            ?? $this->resource('ICUDATA-unit', ['units', 'duration', $unit, 'other'])
            ?? "{0} $unit";

        return str_replace('{0}', (string) (new \NumberFormatter($this->channel->language, \NumberFormatter::DECIMAL))->format($number), $pattern);
    }

    public function zone(): \DateTimeZone
    {
        return $this->channel->zone;
    }

    private function moment(Moment $moment): string
    {
        $format = new \IntlDateFormatter($this->channel->language, \IntlDateFormatter::MEDIUM, \IntlDateFormatter::SHORT, $this->channel->zone->getName());

        return (string) $format->format(intdiv($moment->millis, 1000));
    }

    private function span(TimeSpan $span): string
    {
        $seconds = intdiv($span->millis(), 1000);
        $said = [];
        foreach (self::UNITS as $unit => $size) {
            $count = intdiv($seconds, $size);
            $seconds -= $count * $size;
            if ($count > 0 || ($unit === 'second' && $said === [])) {
                $said[] = $this->quantity($count, $unit);
            } elseif ($said !== []) {
                break;
            }
            if (count($said) === 2) {
                break;
            }
        }

        return implode(' ', $said);
    }

    /** @param  list<string>  $items */
    private function list(array $items): string
    {
        if (count($items) < 2) {
            return $items[0] ?? '';
        }
        $pattern = fn (string $part): string => $this->resource('ICUDATA', ['listPattern', 'standard', $part]) ?? '{0}, {1}';
        $last = count($items) - 1;
        if ($last === 1) {
            return strtr($pattern('2'), ['{0}' => $items[0], '{1}' => $items[1]]);
        }
        $text = strtr($pattern('end'), ['{0}' => $items[$last - 1], '{1}' => $items[$last]]);
        for ($i = $last - 2; $i >= 0; $i--) {
            $text = strtr($pattern($i === 0 ? 'start' : 'middle'), ['{0}' => $items[$i], '{1}' => $text]);
        }

        return $text;
    }

    private function decimalSign(): string
    {
        return $this->decimalSign ??= (string) (new \NumberFormatter($this->channel->language, \NumberFormatter::DECIMAL))->getSymbol(\NumberFormatter::DECIMAL_SEPARATOR_SYMBOL);
    }

    /** @param  non-empty-list<string>  $path */
    private function resource(string $bundle, array $path): ?string
    {
        for ($locale = $this->channel->language; ; $locale = str_contains($locale, '_') ? (string) preg_replace('/_[^_]*$/', '', $locale) : 'root') {
            $found = \ResourceBundle::create(str_replace('-', '_', $locale), $bundle, true);
            foreach ($path as $step) {
                $found = $found instanceof \ResourceBundle ? $found->get($step) : null;
            }
            if (is_string($found) || $locale === 'root') {
                return is_string($found) ? $found : null;
            }
        }
    }
}
