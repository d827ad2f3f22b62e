<?php

declare(strict_types=1);

namespace Tests\Core\Hearing\Fixture;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Effect;
use SilverParrot\Hearing\Steps\Ran;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Steps\Step;
use SilverParrot\Response\Evaluation\EvaluationFailure;

/** A step that does as a test says. */
final readonly class TestStep implements Step
{
    /** @param  Closure(Stage): (Ran|EvaluationFailure|null)  $does */
    public function __construct(private Closure $does)
    {
    }

    public static function pause(int $seconds): self
    {
        return new self(static fn (): Ran => new Ran(pause: $seconds * 1000));
    }

    public static function effect(string $rings): self
    {
        return new self(static fn (): Ran => new Ran(effect: new class($rings) implements Effect
        {
            public function __construct(private readonly string $rings)
            {
            }

            public function deed(): string
            {
                return 'ring';
            }

            public function by(): Person
            {
                return Person::unknown('odo');
            }

            public function toArray(): array
            {
                return ['rings' => $this->rings];
            }
        }));
    }

    public function runs(): null
    {
        return null;
    }

    public function says(): ?string
    {
        return null;
    }

    public function sources(): array
    {
        return [];
    }

    public function withSource(string $place, string $text): self
    {
        return $this;
    }

    public function write(): array
    {
        return [];
    }

    public function run(Stage $stage): Ran|EvaluationFailure|null
    {
        return ($this->does)($stage);
    }
}
