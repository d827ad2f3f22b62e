<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Level;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Value\Moment;

/** How long moments, spans, levels and yes or no get in a channel's language, found by saying samples of them. */
final class Lengths
{
    /** Days in ten thousand years: no two written moments are further apart. */
    public const DAYS = 3_652_424;

    /** Numbers that between them take every plural form (CLDR), with as many digits as such a number gets. */
    private const ENDINGS = [0, 1, 2, 3, 4, 5, 7, 11, 12, 15, 21, 22, 25];

    private readonly Printer $printer;

    /** @var array<string, ValueEstimate> what was found already, by its name; saying samples takes its time */
    private array $found = [];

    /** @var array<string, int> likewise */
    private array $counted = [];

    private function __construct(Channel $channel)
    {
        $this->printer = new Printer($channel);
    }

    public static function of(Channel $channel): self
    {
        return new self($channel);
    }

    public function yesNo(): ValueEstimate
    {
        return $this->found['yes or no'] ??= $this->sampled(ValueKind::YesNo, [
            $this->printer->print(true),
            $this->printer->print(false),
        ]);
    }

    public function moment(): ValueEstimate
    {
        return $this->found['moment'] ??= $this->sampled(
            ValueKind::Moment,
            array_map($this->printer->print(...), $this->moments()),
        );
    }

    public function timeSpan(): ValueEstimate
    {
        return $this->found['span'] ??= $this->spanIn('units');
    }

    /** A moment by a pattern (UTS #35); empty for the day as the language writes it. */
    public function date(string $pattern): ValueEstimate
    {
        return $this->found["date $pattern"] ??= $this->sampled(
            ValueKind::Text,
            array_map(fn (Moment $moment): string => $this->printer->date($moment, $pattern), $this->moments()),
        );
    }

    /** A number, a span or a moment in few letters. */
    public function short(): ValueEstimate
    {
        return $this->found['short'] ??= $this->spanIn('unitsNarrow')->orElse(
            $this->sampled(ValueKind::Text, [
                ...array_map($this->printer->shortMoment(...), $this->moments()),
                ...array_map($this->printer->compact(...), [
                    0,
                    999,
                    -999,
                    88_888,
                    888_888,
                    8_888_888,
                    88_888_888,
                    888_888_888,
                    8_888_888_888,
                    888_888_888_888,
                    -888_888_888_888,
                    888_888_888_888_888,
                    PHP_INT_MAX,
                    PHP_INT_MIN,
                ]),
            ]),
        );
    }

    public function ago(): ValueEstimate
    {
        if (isset($this->found['ago'])) {
            return $this->found['ago'];
        }
        $now = Moment::fromIso('9999-12-31T23:59:59Z') ?? new Moment(0);
        $texts = [];
        foreach (
            [
                'year' => [8_888, 9_998],
                'month' => [8, 11],
                'day' => [8, 28],
                'hour' => [8, 23],
                'minute' => [8, 58],
                'second' => [8, 58],
            ] as $unit => $counts
        ) {
            foreach ([...$counts, 1, 2, 5] as $count) {
                $other = Moment::of($now->in(new \DateTimeZone('UTC'))->modify("-$count $unit"));
                $texts[] = $this->printer->relative($other, $now);
                $texts[] = $this->printer->relative($now, $other);
            }
        }
        $texts[] = $this->printer->relative($now, $now);

        return $this->found['ago'] = $this->sampled(ValueKind::Text, $texts);
    }

    /** @return int characters that a number of so many digits gets by grouping, its sign left out */
    public function grouped(int $digits): int
    {
        return $this->counted["grouped $digits"] ??=
            ValueEstimate::length($this->printer->grouped((int) str_repeat('8', min(18, $digits))))
            + max(0, $digits - 18);
    }

    public function ordinal(int $digits): int
    {
        return $this->counted["ordinal $digits"] ??=
            1
            + max(
                array_map(
                    fn (int $ending): int => ValueEstimate::length(
                        $this->printer->ordinal(
                            (int) (str_repeat('8', max(0, min(18, $digits) - 2))
                                .str_pad((string) $ending, 2, '8', STR_PAD_LEFT)),
                        ),
                    ),
                    self::ENDINGS,
                ),
            )
            + max(0, $digits - 18);
    }

    public function level(): ValueEstimate
    {
        return $this->found['level'] ??= $this->sampled(
            ValueKind::Level,
            array_map(static fn (Level $level): string => $level->label(), Level::cases()),
        );
    }

    /** @return int characters between two parts of a list, at most */
    public function joint(): int
    {
        return $this->counted['joint'] ??= max(
            ValueEstimate::length($this->printer->list(['x', 'x'])) - 2,
            ValueEstimate::length($this->printer->list(['x', 'x', 'x', 'x'])) - 4,
        );
    }

    /** @param  non-empty-list<string>  $texts */
    private function sampled(ValueKind $kind, array $texts): ValueEstimate
    {
        $lengths = array_map(ValueEstimate::length(...), $texts);

        return ValueEstimate::of($kind, min($lengths), max($lengths), max(array_map(strlen(...), $texts)));
    }

    /**
     * @return non-empty-list<Moment> every month with every day of the week, mornings and evenings, and a beginning of
     *     a day
     */
    private function moments(): array
    {
        $moments = [];
        for ($month = 1; $month <= 12; $month++) {
            for ($day = 22; $day <= 28; $day++) {
                $moments[] =
                    Moment::fromIso(
                        sprintf('2888-%02d-%02dT%02d:48:48', $month, $day, $day % 2 === 0 ? 10 : 22),
                        $this->printer->zone(),
                    ) ?? new Moment(0);
            }
        }
        foreach (['2888-05-01', '2888-05-01T00:00:01', '0001-05-01T08:08'] as $iso) {
            $moments[] = Moment::fromIso($iso, $this->printer->zone()) ?? new Moment(0);
        }

        return $moments;
    }

    /** @param  string  $style  as the printer takes it */
    private function spanIn(string $style): ValueEstimate
    {
        $longest = 0;
        $bytes = 0;
        $before = [0, 0];
        foreach (['second' => 59, 'minute' => 59, 'hour' => 23, 'day' => self::DAYS] as $unit => $most) {
            $texts = [];
            foreach (self::ENDINGS as $ending) {
                $texts[] = $this->printer->quantity(
                    $most < 100 ? min($most, $ending) : 3_000_000 + $ending,
                    $unit,
                    $style,
                );
            }
            $here = [max(array_map(ValueEstimate::length(...), $texts)), max(array_map(strlen(...), $texts))];
            $longest = max($longest, $here[0] + 1 + $before[0]);
            $bytes = max($bytes, $here[1] + 1 + $before[1]);
            $before = $here;
        }

        return ValueEstimate::of(
            ValueKind::TimeSpan,
            min(
                array_map(fn (string $unit): int => ValueEstimate::length($this->printer->quantity(1, $unit, $style)), [
                    'second',
                    'minute',
                    'hour',
                    'day',
                ]),
            ) - 1,
            $longest,
            $bytes,
        );
    }
}
