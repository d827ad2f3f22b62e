<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Quote;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** How a value is said, in the channel's language and zone. */
final class Printer
{
    /** Units of a span, largest first, in seconds. Months and years depend on the calendar and are counted there. */
    private const UNITS = ['day' => 86_400, 'hour' => 3_600, 'minute' => 60, 'second' => 1];

    /** ICU's UNUM_DECIMAL_COMPACT_SHORT, which PHP 8.2 has no name for. */
    private const COMPACT = 14;

    private const DIGITS_OF_A_DOUBLE = 15;

    /** Milliseconds; every moment that there is lies behind it. */
    private const BEFORE_ALL_DAYS = -1e14;

    private ?\Collator $collator = null;

    /** @var array<int|string, string>|null */
    private ?array $digits = null;

    /** @var array<string, string> patterns that join the parts of a list */
    private array $joints = [];

    /** @var array<string, \IntlDateFormatter> by styles and pattern */
    private array $formats = [];

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
            $value instanceof Number => str_replace('.', $this->channel->decimalSign, Number::digits($value)),
            $value instanceof Level => $value->label(),
            $value instanceof Moment => $this->moment($value),
            $value instanceof TimeSpan => $this->span($value),
            $value instanceof Quote => $value->text,
            $value instanceof Said => $value->rendered->text,
            $value instanceof ListValue => $this->list(array_map($this->print(...), $value->items)),
            default => '',
        };
    }

    /** With the language's grouping: 12,345.5 */
    public function grouped(int|Number $number): string
    {
        [$whole, $decimals] = explode('.', ltrim(Number::digits($number), '-')) + [1 => ''];
        $text =
            $this->groupedDigits($whole)
            .($decimals === '' ? '' : $this->channel->decimalSign.strtr($decimals, $this->digits()));

        return Number::compare($number, 0) < 0 ? $this->before().$text.$this->behind() : $text;
    }

    /**
     * The formatter takes a double, so more digits than one holds are grouped in two parts: the right one of nine,
     * where a group ends in languages that have threes and in those that have twos behind three.
     */
    private function groupedDigits(string $whole): string
    {
        if (strlen($whole) <= self::DIGITS_OF_A_DOUBLE) {
            return $this->groupedWhole((int) $whole);
        }
        $left = (string) preg_replace(
            '/(?<!\P{Nd})\P{Nd}*+\p{Nd}{3}$/u',
            '',
            $this->groupedDigits(mb_substr($whole, 0, -9).'000'),
        );

        return $left.preg_replace('/^\p{Nd}/u', '', $this->groupedWhole((int) ('1'.mb_substr($whole, -9))));
    }

    /** @return array<int|string, string> the language’s digits, by ours */
    private function digits(): array
    {
        return $this->digits ??= array_map($this->groupedWhole(...), range(0, 9));
    }

    private function before(): string
    {
        return (string) preg_replace('/\p{Nd}.*+/us', '', $this->groupedWhole(-1));
    }

    private function behind(): string
    {
        return (string) preg_replace('/^.*\p{Nd}/us', '', $this->groupedWhole(-1));
    }

    /** With a skeleton, which knows that some languages group from five digits on (CLDR, minimumGroupingDigits). */
    private function groupedWhole(int $number): string
    {
        return (string) \MessageFormatter::formatMessage(
            $this->channel->language,
            '{0, number, ::group-auto precision-integer}',
            [$number],
        );
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
    public function quantity(int $number, string $unit, string $style = 'units'): string
    {
        $pattern = $this->resource('ICUDATA-unit', [$style, 'duration', $unit, $this->pluralCategory($number)])
            ?? $this->resource('ICUDATA-unit', [$style, 'duration', $unit, 'other'])
            ?? "{0} $unit";

        return str_replace(
            '{0}',
            (string) (new \NumberFormatter($this->channel->language, \NumberFormatter::DECIMAL))->format($number),
            $pattern,
        );
    }

    public function zone(): \DateTimeZone
    {
        return $this->channel->zone;
    }

    /** @param  string  $pattern  of letters by UTS #35; empty for the day as the language writes it */
    public function date(Moment $moment, string $pattern): string
    {
        return (string) $this->dates(\IntlDateFormatter::MEDIUM, \IntlDateFormatter::NONE, $pattern)->format(
            intdiv($moment->millis, 1000),
        );
    }

    public function shortMoment(Moment $moment): string
    {
        return $this->formatted($moment, \IntlDateFormatter::SHORT);
    }

    /**
     * How far a moment is from another, in its largest unit: "9 days ago", "in 5 months". Months and years by the
     * calendar.
     */
    public function relative(Moment $moment, Moment $now): string
    {
        $isPast = $moment->millis <= $now->millis;
        [$from, $to] = $isPast ? [$moment, $now] : [$now, $moment];
        $between = $from->in($this->channel->zone)->diff($to->in($this->channel->zone));
        foreach (
            [
                'year' => $between->y,
                'month' => $between->m,
                'day' => $between->d,
                'hour' => $between->h,
                'minute' => $between->i,
                'second' => $between->s,
            ] as $unit => $count
        ) {
            if ($count > 0) {
                $path = ['fields', $unit, 'relativeTime', $isPast ? 'past' : 'future'];
                $pattern =
                    $this->resource('ICUDATA', [...$path, $this->pluralCategory($count)])
                    ?? ($this->resource('ICUDATA', [...$path, 'other']) ?? '{0}');

                return str_replace(
                    '{0}',
                    (string) (new \NumberFormatter($this->channel->language, \NumberFormatter::DECIMAL))->format(
                        $count,
                    ),
                    $pattern,
                );
            }
        }

        return $this->resource('ICUDATA', ['fields', 'second', 'relative', '0']) ?? '';
    }

    public function ordinal(int $number): string
    {
        return (string) (new \NumberFormatter($this->channel->language, \NumberFormatter::ORDINAL))->format($number);
    }

    /** In few letters: 12K. A double is exact enough for three digits. */
    public function compact(int|Number $number): string
    {
        $value = is_int($number) ? $number : (float) Number::digits($number);
        $format = new \NumberFormatter(
            $this->channel->language,
            abs($value) < 1_000 ? \NumberFormatter::DECIMAL : self::COMPACT,
        );
        if (abs($value) < 1_000) {
            $format->setAttribute(\NumberFormatter::MAX_FRACTION_DIGITS, 2);
        }

        return (string) $format->format($value);
    }

    /** Bytes that stand in the order in which the language sorts, with numbers in texts by their size. */
    public function sortKey(string $text): string
    {
        if ($this->collator === null) {
            $this->collator = new \Collator($this->channel->language);
            $this->collator->setAttribute(\Collator::NUMERIC_COLLATION, \Collator::ON);
        }

        return (string) $this->collator->getSortKey($text);
    }

    private function moment(Moment $moment): string
    {
        if ($moment->pattern !== '') {
            return $this->date($moment, $moment->pattern);
        }

        // The beginning of a day stands for the day.
        return $moment->in($this->channel->zone)->format('H:i:s.v') === '00:00:00.000'
            ? $this->date($moment, '')
            : $this->formatted($moment, \IntlDateFormatter::MEDIUM);
    }

    private function formatted(Moment $moment, int $style): string
    {
        return (string) $this->dates($style, \IntlDateFormatter::SHORT, '')->format(intdiv($moment->millis, 1000));
    }

    /** Making one costs a hundred times what using it does. */
    private function dates(int $date, int $time, string $pattern): \IntlDateFormatter
    {
        return $this->formats["$date $time $pattern"] ??= new \IntlDateFormatter(
            $this->channel->language,
            $date,
            $time,
            $this->channel->zone->getName(),
            $this->calendar(),
            $pattern,
        );
    }

    /** Of one kind for all times, as days are counted: ICU's own would go over to another before 1582. */
    private function calendar(): \IntlGregorianCalendar
    {
        $calendar = new \IntlGregorianCalendar($this->channel->zone->getName(), $this->channel->language);
        $calendar->setGregorianChange(self::BEFORE_ALL_DAYS);

        return $calendar;
    }

    /** @param  string  $style  "units", or "unitsNarrow" for few letters */
    public function span(TimeSpan $span, string $style = 'units'): string
    {
        $seconds = intdiv($span->millis(), 1000);
        $said = [];
        foreach (self::UNITS as $unit => $size) {
            $count = intdiv($seconds, $size);
            $seconds -= $count * $size;
            if ($count > 0 || ($unit === 'second' && $said === [])) {
                $said[] = $this->quantity($count, $unit, $style);
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
    public function list(array $items): string
    {
        if (count($items) < 2) {
            return $items[0] ?? '';
        }
        $last = count($items) - 1;
        if ($last === 1) {
            return strtr($this->joint('2'), ['{0}' => $items[0], '{1}' => $items[1]]);
        }
        // From the end on, as CLDR has it, in pieces: each pattern puts something before and behind what follows it.
        [$before, $behind] = ['', strtr($this->joint('end'), ['{0}' => $items[$last - 1], '{1}' => $items[$last]])];
        $middle = $last > 2 ? $this->joint('middle') : '';
        $after = '';
        for ($i = 0; $i <= $last - 2; $i++) {
            [$start, $end] = explode('{1}', $i === 0 ? $this->joint('start') : $middle, 2) + [1 => ''];
            $before .= str_replace('{0}', $items[$i], $start);
            $after = str_replace('{0}', $items[$i], $end).$after;
        }

        return $before.$behind.$after;
    }

    private function joint(string $part): string
    {
        return $this->joints[$part] ??= $this->resource('ICUDATA', ['listPattern', 'standard', $part]) ?? '{0}, {1}';
    }

    /** @param  non-empty-list<string>  $path */
    private function resource(string $bundle, array $path): ?string
    {
        for (
            $locale = (string) \Locale::canonicalize($this->channel->language); ;
            $locale = self::parent($locale, $bundle)
        ) {
            $found = \ResourceBundle::create($locale, $bundle, true);
            foreach ($path as $step) {
                $found = $found instanceof \ResourceBundle ? $found->get($step) : null;
            }
            if (is_string($found) || $locale === 'root') {
                return is_string($found) ? $found : null;
            }
        }
    }

    /**
     * Where a locale takes from what it does not say itself (UTS #35, locale inheritance): mostly the language without
     * the region.
     */
    private static function parent(string $locale, string $bundle): string
    {
        $parent = \ResourceBundle::create($locale, $bundle, false)?->get('%%Parent', false);

        if (is_string($parent)) {
            return $parent;
        }

        return str_contains($locale, '_') ? (string) preg_replace('/_[^_]*$/', '', $locale) : 'root';
    }
}
