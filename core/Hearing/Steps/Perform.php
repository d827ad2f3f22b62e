<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Hearing\Deeds\Deed;
use SilverParrot\Hearing\Deeds\DeedScene;
use SilverParrot\Hearing\Deeds\EffectDeed;
use SilverParrot\Pack\Command;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Message;

/**
 * The step that does something. What came of it is the outcome for the steps behind it; where it is refused, the whole
 * response fails with the reason.
 */
final readonly class Perform implements Step
{
    /** @param  array<string, string>  $with  responses that fill its inputs; those that it leaves out have their own */
    public function __construct(public Deed $deed, public array $with = [])
    {
    }

    public static function isIn(Command $command): bool
    {
        foreach ($command->responses as $response) {
            foreach ($response->steps as $step) {
                if ($step instanceof self) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  string  $place  of a text in the command: "responses/0/steps/1/say"
     * @return list<string> the parts of outcome that the steps before it give
     */
    public static function givenBefore(Command $command, string $place): array
    {
        $gives = [];
        if (preg_match('~^responses/(\d+)/steps/(\d+)/~', $place, $at) === 1) {
            foreach (array_slice($command->responses[(int) $at[1]]->steps ?? [], 0, (int) $at[2]) as $step) {
                $gives = $step instanceof self ? $step->deed->gives() : $gives;
            }
        }

        return $gives;
    }

    /** Whether it does something with what is typed behind the trigger. */
    public function takesWords(): bool
    {
        $prepared = new ResponseCache;
        foreach ($this->with + $this->deed->inputs() as $text) {
            if ($text !== '' && $prepared->response($text)->takesWords()) {
                return true;
            }
        }

        return false;
    }

    public function runs(): null
    {
        return null;
    }

    public function says(): null
    {
        return null;
    }

    public function sources(): array
    {
        $sources = [];
        foreach ($this->with as $input => $text) {
            $sources["with/$input"] = $text;
        }

        return $sources;
    }

    public function withSource(string $place, string $text): self
    {
        return new self($this->deed, [basename($place) => $text] + $this->with);
    }

    public function write(): array
    {
        return ['do' => $this->deed::key()] + ($this->with === [] ? [] : ['with' => $this->with]);
    }

    public function summary(): Message
    {
        return $this->told('does');
    }

    private function told(string $how): Message
    {
        return new Message('deeds.'.str_replace(' ', '-', $this->deed::key()).".$how");
    }

    public function run(Stage $stage): Ran|EvaluationFailure|null
    {
        $filled = [];
        $isWhole = true;
        foreach ($this->with + $this->deed->inputs() as $input => $text) {
            $one = $text === '' ? '' : $stage->fill($text);
            if ($one instanceof EvaluationFailure) {
                return $one;
            }
            $isWhole = $isWhole && $one !== null;
            $filled[$input] = $one ?? '';
        }
        if (! $isWhole) {
            return null;
        }
        $done = $this->deed->do(
            $filled,
            new DeedScene(
                $stage->world->pack,
                $stage->event->person(),
                $stage->world->now,
                $stage->changes,
                $stage->needed,
            ),
        );
        if ($done === null) {
            return null;
        }
        $reason = $done->outcome['reason'] ?? null;
        if (! $done->isDone && $reason instanceof Message) {
            return EvaluationFailure::refused($reason, $done->outcome);
        }
        array_map($stage->changes->change(...), $done->changes);
        $stage->trace?->did($this->told('label'), $this->deed instanceof EffectDeed);
        $by = $stage->event->person();

        return $this->deed instanceof EffectDeed && $by !== null
            ? new Ran(effect: $this->deed->effect($filled, $by))
            : new Ran(outcome: $done->outcome);
    }
}
