<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Response\Evaluation\EvaluationFailure;

/**
 * Runs another command, as if the same person had typed its trigger and these words. Its own gates are not asked, but
 * whether it is switched on: who may set this one off may what it does.
 */
final readonly class RunCommand implements Step
{
    /**
     * @param  string  $command  its id, or its trigger
     * @param  string  $words  a response: what is taken for typed behind its trigger
     */
    public function __construct(public string $command, public string $words = '')
    {
    }

    public function runs(): string
    {
        return $this->command;
    }

    public function says(): null
    {
        return null;
    }

    public function sources(): array
    {
        return $this->words === '' ? [] : ['words' => $this->words];
    }

    public function withSource(string $place, string $text): self
    {
        return new self($this->command, $text);
    }

    public function write(): array
    {
        return ['run' => $this->command] + ($this->words === '' ? [] : ['words' => $this->words]);
    }

    public function run(Stage $stage): Ran|EvaluationFailure|null
    {
        $words = $this->words === '' ? '' : $stage->fill($this->words);

        return is_string($words) ? $stage->run($this->command, $words) : $words;
    }
}
