<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** Between two times of the day, on some days of the week, both where the channel is. */
final readonly class Hours extends GateSetting implements Gate
{
    public const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    private const TIME = '/^(?:[01]\d|2[0-3]):[0-5]\d$/D';

    /**
     * @param  string  $from  "19:30"; empty where every hour is right
     * @param  string  $to  not included; not after $from: the next day’s
     * @param  list<string>  $days  on which it begins, "mon" to "sun"; none: on all
     */
    public function __construct(public string $from = '', public string $to = '', public array $days = [])
    {
    }

    public static function key(): string
    {
        return 'hours';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['from', 'to', 'days']);
        if ($at->has('from') !== $at->has('to')) {
            $at->flaw(DocumentError::MissingKey, ['key' => $at->has('from') ? 'to' : 'from']);
        }
        $time = static function (string $key) use ($at): string {
            $text = $at->has($key) ? $at->at($key)->text(20) : '';
            if ($at->has($key) && preg_match(self::TIME, $text) !== 1) {
                $at->at($key)->flaw(DocumentError::NotATime, ['value' => $text]);

                return '';
            }

            return $text;
        };
        $days = $at->has('days')
            ? array_map(static function (Document $day): string {
                $text = $day->text(20);
                if (! in_array($text, self::DAYS, true)) {
                    $day->notOneOf($text, self::DAYS);
                }

                return $text;
            }, $at->at('days')->items(7))
            : [];
        if ($days === [] && ! $at->has('from')) {
            $at->flaw(DocumentError::NothingNamed, []);
        }
        [$from, $to] = [$time('from'), $time('to')];

        return new self(
            $from === '' || $to === '' ? '' : $from,
            $from === '' || $to === '' ? '' : $to,
            array_values(array_intersect(self::DAYS, $days)),
        );
    }

    public function write(): ?array
    {
        return ($this->from === '' ? [] : ['from' => $this->from, 'to' => $this->to])
            + ($this->days === [] ? [] : ['days' => $this->days]) ?: null;
    }

    public static function schema(): array
    {
        $time = ['type' => 'string', 'pattern' => trim(self::TIME, '/D')];

        return [
            'description' => 'where the channel is; where “to” is not later than “from”, it is the next day’s',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => [
                'from' => $time,
                'to' => $time,
                'days' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 7, 'items' => ['enum' => self::DAYS]],
            ],
            'dependentRequired' => ['from' => ['to'], 'to' => ['from']],
            'anyOf' => [['required' => ['from', 'to']], ['required' => ['days']]],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        if (! is_array($fields)) {
            return null;
        }
        $days = array_values(array_filter((array) ($fields['days'] ?? []), is_string(...)));
        $typed = $days === [] || count($days) === 7 ? [] : ['days' => $days];
        foreach (['from', 'to'] as $one) {
            if (is_string($fields[$one] ?? null) && trim($fields[$one]) !== '') {
                $typed[$one] = trim($fields[$one]);
            }
        }

        return $typed;
    }

    public static function condition(): string
    {
        return 'it is the right hour or day';
    }

    public function summary(): array
    {
        return [
            ...($this->from === ''
                ? []
                : [new Message('summary.hours', ['from' => $this->from, 'to' => $this->to])]),
            ...($this->days === [] ? [] : [new Message('summary.days', ['days' => $this->daysInWords()])]),
        ];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('hours', 'Outside its hours', ['needs', 'left']);
    }

    public function gates(): array
    {
        return $this->write() === null ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'hours';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        $opens = $this->opens($context->at, $context->world->pack->channel->zone);
        if ($opens === null) {
            return new Open;
        }
        $seconds = (int) ceil(($opens->millis - $context->at->millis) / 1000);
        $time = $this->from === '' ? '' : "{$this->from}–{$this->to}";
        $given = array_filter([$time, $this->daysInWords()], static fn (string $one): bool => $one !== '');
        $needs = implode(' on ', $given);

        return new GateRefusal(
            $this->name(),
            'hours',
            ['seconds' => $seconds, 'length' => Lengths::of($seconds), 'needs' => $needs],
            ['needs' => $needs, 'left' => TimeSpan::between($context->at, $opens)],
            self::refusal(),
        );
    }

    /** When it opens next; null where it is open. What a clock change skips or repeats is as PHP's dates have it. */
    private function opens(Moment $now, \DateTimeZone $zone): ?Moment
    {
        $local = $now->in($zone);
        for ($day = -1; $day <= 8; $day++) {
            $date = $local->modify("$day days");
            $name = self::DAYS[(int) $date->format('N') - 1];
            if ($this->days !== [] && ! in_array($name, $this->days, true)) {
                continue;
            }
            $from = Moment::of(self::at($date, $this->from === '' ? '00:00' : $this->from));
            $to = Moment::of(
                self::at($this->to <= $this->from ? $date->modify('+1 day') : $date, $this->to ?: '00:00'),
            );
            if ($now->millis < $to->millis) {
                return $now->millis < $from->millis ? $from : null;
            }
        }

        return null;
    }

    private static function at(\DateTimeImmutable $date, string $time): \DateTimeImmutable
    {
        [$hour, $minute] = explode(':', $time);

        return $date->setTime((int) $hour, (int) $minute);
    }

    /** "Monday, Tuesday"; empty for all. */
    private function daysInWords(): string
    {
        $names = array_combine(
            self::DAYS,
            ['Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays', 'Sundays'],
        );

        return implode(', ', array_map(static fn (string $day): string => $names[$day], $this->days));
    }
}
