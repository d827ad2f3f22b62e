<?php

declare(strict_types=1);

namespace Tests\Core\Hearing\Fixture;

use Closure;
use SilverParrot\Document\Document;
use SilverParrot\Hearing\Gates\Gate;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\Open;
use SilverParrot\Hearing\Gates\Pending;
use SilverParrot\Pack\Refusal;

/** A gate that stands as a test says. */
final readonly class TestSetting extends GateSetting implements Gate
{
    /** @param  Closure(GateContext): (Open|GateRefusal|Pending)  $stands */
    public function __construct(private Closure $stands)
    {
    }

    public static function key(): string
    {
        return 'test';
    }

    public static function usual(): self
    {
        return new self(static fn (): Open => new Open);
    }

    public static function read(Document $at): self
    {
        return self::usual();
    }

    public function write(): null
    {
        return null;
    }

    public static function schema(): array
    {
        return [];
    }

    public static function typed(mixed $fields): null
    {
        return null;
    }

    public function summary(): array
    {
        return [];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('test', 'When it is tested');
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
        return 'test';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        return ($this->stands)($context);
    }
}
