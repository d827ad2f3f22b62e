<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

final readonly class Quietly extends GateSetting implements Gate
{
    public function __construct(public bool $isQuiet = false)
    {
    }

    public static function key(): string
    {
        return 'quietly';
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
        return $this->isQuiet ? true : null;
    }

    public static function schema(): array
    {
        return ['type' => 'boolean'];
    }

    public static function typed(mixed $fields): ?bool
    {
        return $fields === '1' ? true : null;
    }

    public function summary(): array
    {
        return $this->isQuiet ? [new Message('summary.quietly')] : [];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('quietly', 'When it is loud');
    }

    public function gates(): array
    {
        return $this->isQuiet ? [$this] : [];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'quietly';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        return str_contains($context->event->line()->text ?? '', '!!')
            ? new GateRefusal('quietly', 'loud', refusal: self::refusal())
            : new Open;
    }
}
