<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/** So many successes a stream for everybody together; a stream, or a day, for each person. */
final readonly class AtMost extends GateSetting
{
    public const MOST = 1_000;

    /**
     * @param  int  $stream  times a stream for everybody together; 0 for as often as they like, as in the others
     * @param  int  $personStream  times a stream for each person
     * @param  int  $personDay  times a day for each person
     */
    public function __construct(public int $stream = 0, public int $personStream = 0, public int $personDay = 0)
    {
    }

    public static function key(): string
    {
        return 'at_most';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['stream', 'person_stream', 'person_day']);
        $times = static fn (string $key): int => $at->has($key) ? $at->at($key)->whole(1, self::MOST) : 0;
        $read = new self($times('stream'), $times('person_stream'), $times('person_day'));
        if ($read->write() === null) {
            $at->flaw(DocumentError::NothingNamed, []);
        }

        return $read;
    }

    public function write(): ?array
    {
        return array_filter([
            'stream' => $this->stream,
            'person_stream' => $this->personStream,
            'person_day' => $this->personDay,
        ]) ?: null;
    }

    public static function schema(): array
    {
        $times = ['type' => 'integer', 'minimum' => 1, 'maximum' => self::MOST];

        return [
            'description' => 'how many times it may succeed',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => ['stream' => $times, 'person_stream' => $times, 'person_day' => $times],
            'anyOf' => [
                ['required' => ['stream']],
                ['required' => ['person_stream']],
                ['required' => ['person_day']],
            ],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        return is_array($fields) ? TypedFields::wholes($fields, 'stream', 'person_stream', 'person_day') : null;
    }

    public static function condition(): string
    {
        return 'it was not used too often';
    }

    public function summary(): array
    {
        $told = static fn (string $what, int $times): array => $times === 0
            ? []
            : [new Message("summary.at-most-$what", ['count' => $times])];

        return [
            ...$told('stream', $this->stream),
            ...$told('person-stream', $this->personStream),
            ...$told('person-day', $this->personDay),
        ];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('at_most', 'When it was used often enough', ['needs']);
    }

    public function gates(): array
    {
        return [
            ...($this->stream === 0 ? [] : [new AtMostGate(GateScope::Channel, Per::Stream, $this->stream)]),
            ...($this->personStream === 0 ? [] : [new AtMostGate(GateScope::Person, Per::Stream, $this->personStream)]),
            ...($this->personDay === 0 ? [] : [new AtMostGate(GateScope::Person, Per::Day, $this->personDay)]),
        ];
    }

    public static function checks(): array
    {
        return [];
    }
}
