<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/**
 * Where the line must be typed. A whisper sets nothing off unless the author allows it: whoever whispers is not seen by
 * anybody who would keep order.
 */
final readonly class WhereTyped extends GateSetting implements Gate
{
    public function __construct(public TypedIn $where = TypedIn::Chat)
    {
    }

    public static function key(): string
    {
        return 'typed_in';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        return new self($at->oneOf(TypedIn::class));
    }

    public function write(): ?string
    {
        return $this->where === TypedIn::Chat ? null : $this->where->value;
    }

    public static function schema(): array
    {
        return [
            'description' => 'where it may be typed; in the chat, where it is not given',
            'enum' => array_column(TypedIn::cases(), 'value'),
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        return $fields === '' || $fields === TypedIn::Chat->value ? null : $fields;
    }

    public static function condition(): string
    {
        return 'it is whispered to the parrot';
    }

    public function summary(): array
    {
        return $this->where === TypedIn::Chat ? [] : [new Message("summary.typed-in-{$this->where->value}")];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('typed_in', 'If it’s typed in the wrong place', ['needs']);
    }

    public function gates(): array
    {
        return $this->where === TypedIn::Either ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'where it was typed';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        $line = $context->event->line();
        $is = $line?->isWhisper === true ? TypedIn::Whisper : TypedIn::Chat;
        if ($line === null || $is === $this->where) {
            return new Open(isUsual: $this->where === TypedIn::Chat);
        }

        return new GateRefusal(
            $this->name(),
            'typed_in',
            gives: ['needs' => new Message("needs.typed-in-{$this->where->value}")],
            refusal: self::refusal(),
            says: "typed-in-{$this->where->value}",
        );
    }
}
