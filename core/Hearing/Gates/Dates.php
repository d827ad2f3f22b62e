<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** From one date on, until another, or both: for a while, for a feast, for tonight only. */
final readonly class Dates extends GateSetting implements Gate
{
    /** A date, or a date and a time, where the channel is. */
    private const DAY = '/^\d{4}-\d\d-\d\d(?:T(?:[01]\d|2[0-3]):[0-5]\d)?$/D';

    /**
     * @param  string  $from  "2026-12-01" for its beginning, or "2026-12-01T18:00"; empty: always until then
     * @param  string  $until  a date with its whole day, or the moment after which it is over; empty: from then on
     */
    public function __construct(public string $from = '', public string $until = '')
    {
    }

    public static function key(): string
    {
        return 'dates';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['from', 'until']);
        $day = static function (string $key) use ($at): string {
            $text = $at->has($key) ? $at->at($key)->text(20) : '';
            if ($text !== '' && (preg_match(self::DAY, $text) !== 1 || Moment::fromIso($text) === null)) {
                $at->at($key)->flaw(DocumentError::NotADate, ['value' => $text]);

                return '';
            }

            return $text;
        };
        $read = new self($day('from'), $day('until'));
        if (! $at->has('from') && ! $at->has('until')) {
            $at->flaw(DocumentError::NothingNamed, []);
        }
        // Both are written alike, so that their letters stand in the order of their moments.
        if ($read->from !== '' && $read->until !== '' && $read->from > $read->until.'T99') {
            $at->at('until')->flaw(DocumentError::EndsBeforeItBegins, ['from' => $read->from, 'until' => $read->until]);
        }

        return $read;
    }

    public function write(): ?array
    {
        return array_filter(
            ['from' => $this->from, 'until' => $this->until],
            static fn (string $day): bool => $day !== '',
        ) ?: null;
    }

    public static function schema(): array
    {
        $day = ['type' => 'string', 'pattern' => trim(self::DAY, '/D')];

        return [
            'description' => 'dates, or dates with a time, where the channel is; “until” is included',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => ['from' => $day, 'until' => $day],
            'anyOf' => [['required' => ['from']], ['required' => ['until']]],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        if (! is_array($fields)) {
            return null;
        }
        $text = static fn (string $key): string => is_string($fields[$key] ?? null) ? trim($fields[$key]) : '';

        return array_filter(
            ['from' => $text('from'), 'until' => $text('until')],
            static fn (string $day): bool => $day !== '',
        );
    }

    public static function condition(): string
    {
        return 'it is the right date';
    }

    public function summary(): array
    {
        return match (true) {
            $this->from === '' && $this->until === '' => [],
            $this->until === '' => [new Message('summary.from-date', ['from' => self::said($this->from)])],
            $this->from === '' => [new Message('summary.until-date', ['until' => self::said($this->until)])],
            default => [new Message('summary.dates', [
                'from' => self::said($this->from),
                'until' => self::said($this->until),
            ])],
        };
    }

    public static function refusal(): Refusal
    {
        return new Refusal('dates', 'Before or after its dates', ['needs', 'left']);
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
        return 'dates';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        $zone = $context->world->pack->channel->zone;
        $from = Moment::fromIso($this->from, $zone);
        $ends = Moment::fromIso($this->until, $zone);
        if ($ends !== null && strlen($this->until) === 10) {
            $ends = Moment::of($ends->in($zone)->modify('+1 day'));
        }
        if ($from !== null && $context->at->millis < $from->millis) {
            $seconds = (int) ceil(($from->millis - $context->at->millis) / 1000);

            return new GateRefusal(
                $this->name(),
                'dates',
                ['seconds' => $seconds, 'length' => Lengths::of($seconds), 'from' => self::said($this->from)],
                ['needs' => self::said($this->from), 'left' => TimeSpan::between($context->at, $from)],
                self::refusal(),
                says: 'dates-to-come',
            );
        }

        return $ends !== null && $context->at->millis >= $ends->millis
            ? new GateRefusal(
                $this->name(),
                'dates',
                ['until' => self::said($this->until)],
                ['needs' => '', 'left' => null],
                self::refusal(),
                says: 'dates-over',
            )
            : new Open;
    }

    private static function said(string $day): string
    {
        return str_replace('T', ' ', $day);
    }
}
