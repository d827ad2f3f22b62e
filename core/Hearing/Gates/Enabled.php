<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Gates;

/** Whether the command is switched on at all, and not silenced since it was published. */
final readonly class Enabled extends GateSetting implements Gate
{
    /** @param  bool  $isSilenced  for now, on the air alone: no document tells it */
    public function __construct(public bool $isOn = true, public bool $isSilenced = false)
    {
    }

    public static function silenced(): self
    {
        return new self(false, true);
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

    public function closable(Gates $among): array
    {
        return $this->isOn() ? [] : $this->gates();
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
            : new GateRefusal($this->name(), $this->isSilenced ? 'silenced' : 'switched-off');
    }

    public function isOn(): bool
    {
        return $this->isOn;
    }
}
