<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Response\Evaluation\Failed;

/** The step that says something. */
final readonly class Say implements Step
{
    public function __construct(public string $text)
    {
    }

    public function sources(): array
    {
        return ['say' => $this->text];
    }

    public function withSource(string $place, string $text): self
    {
        return new self($text);
    }

    public function write(): array
    {
        return ['say' => $this->text];
    }

    public function run(Stage $stage): Ran|Failed|null
    {
        return $stage->say($this->text);
    }
}
