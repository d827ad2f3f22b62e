<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;

/** Whether the command is switched on at all. */
final readonly class Enabled extends GateSetting implements Gate
{
    public function __construct(public bool $isOn = true)
    {
    }

    public static function key(): string
    {
        return 'enabled';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        return new self($at->flag());
    }

    public function write(): ?bool
    {
        return $this->isOn ? null : false;
    }

    public static function schema(): array
    {
        return ['type' => 'boolean'];
    }

    public static function typed(mixed $fields): bool
    {
        return $fields === '1';
    }

    public function summary(): array
    {
        return [];
    }

    public static function refusal(): null
    {
        return null;
    }

    public function gates(): array
    {
        return [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'switched on';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        return $this->isOn
            ? new Open
            : new GateRefusal($this->name(), 'switched-off');
    }

    public function isOn(): bool
    {
        return $this->isOn;
    }
}
