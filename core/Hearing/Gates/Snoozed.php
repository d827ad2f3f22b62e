<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/** Left alone until another stream begins. */
final readonly class Snoozed extends GateSetting implements Gate
{
    /** @param  Moment|null  $since  when it was told to be silent; null where it was not */
    public function __construct(public ?Moment $since = null)
    {
    }

    public static function key(): string
    {
        return 'snoozed';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        return new self($at->moment());
    }

    public function write(): ?string
    {
        return $this->since?->iso();
    }

    public static function schema(): array
    {
        return [
            'description' => 'since when; it is over with the next stream that begins',
            'type' => 'string',
            'format' => 'date-time',
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        return is_string($fields) && $fields !== '' ? $fields : null;
    }

    public static function condition(): string
    {
        return 'it is snoozed';
    }

    public function summary(): array
    {
        return $this->since === null ? [] : [new Message('summary.snoozed')];
    }

    public static function refusal(): null
    {
        return null;
    }

    public function gates(): array
    {
        return $this->since === null ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'snoozed';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $key = Key::stream();
        if (! $context->world->memory->knows($key)) {
            return Pending::key($key);
        }
        $began = RunningStream::began($context->world->memory->value($key));

        return $this->since === null || ($began !== null && $began->millis > $this->since->millis)
            ? new Open
            : new GateRefusal($this->name(), 'snoozed', refusal: self::refusal());
    }
}
