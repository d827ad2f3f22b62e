<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `[when …] … [else] … [end]` */
final readonly class Choice implements Part
{
    /**
     * @param  list<array{Expression, list<Part>, Span}>  $branches  condition, what is said, the span of the condition's slot
     * @param  list<Part>  $otherwise
     */
    public function __construct(public array $branches, public array $otherwise)
    {
    }

    public function say(Run $run): void
    {
        foreach ($this->branches as [$condition, $parts, $span]) {
            $value = $condition->evaluate($run);
            if ($value instanceof Gap) {
                $run->trace?->slot($span, null, $value);
                throw Failed::gap($value, $span);
            }
            $holds = Truth::of($value);
            $run->trace?->choice($span, $holds);
            if ($holds) {
                self::sayAll($parts, $run);

                return;
            }
        }
        self::sayAll($this->otherwise, $run);
    }

    /** @param  list<Part>  $parts */
    private static function sayAll(array $parts, Run $run): void
    {
        foreach ($parts as $part) {
            $part->say($run);
        }
    }

    /** @return Closure(Run): void the same without a trace */
    public function prepared(): Closure
    {
        $branches = array_map(static fn (array $branch): array => [Preparing::value($branch[0]), Preparing::steps($branch[1]), $branch[2]], $this->branches);
        $otherwise = Preparing::steps($this->otherwise);

        return static function (Run $run) use ($branches, $otherwise): void {
            $steps = $otherwise;
            foreach ($branches as [$condition, $inside, $span]) {
                $value = $condition($run);
                if ($value instanceof Gap) {
                    throw Failed::gap($value, $span);
                }
                if (Truth::of($value)) {
                    $steps = $inside;
                    break;
                }
            }
            foreach ($steps as [$text, $say]) {
                $run->text .= $text;
                $say === null || $say($run);
            }
        };
    }
}
