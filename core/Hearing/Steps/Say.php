<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Triggers;
use SilverParrot\Response\Evaluation\EvaluationFailure;

/** The step that says something. */
final readonly class Say implements Step
{
    public function __construct(public string $text)
    {
    }

    /** The plain command: any number of texts, one of which is said. */
    public static function on(string $trigger, string|CommandResponse ...$responses): Command
    {
        return new Command(
            new Triggers($trigger),
            array_map(
                static fn (string|CommandResponse $one): CommandResponse => is_string($one)
                    ? self::response($one)
                    : $one,
                array_values($responses),
            ),
        );
    }

    /** A response that says a text and does nothing else. */
    public static function response(string $text, int $weight = 1, string $id = ''): CommandResponse
    {
        return new CommandResponse([new self($text)], $weight, $id);
    }

    public function runs(): null
    {
        return null;
    }

    public function says(): string
    {
        return $this->text;
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

    public function run(Stage $stage): Ran|EvaluationFailure|null
    {
        return $stage->say($this->text);
    }
}
