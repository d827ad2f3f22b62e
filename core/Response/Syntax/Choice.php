<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Response\Said;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `[when …] … [else] … [end]` */
final readonly class Choice implements Filled
{
    /**
     * @param  list<array{Expression, list<Part>, Span}>  $branches  condition, what is said, the span of the condition's slot
     * @param  list<Part>  $otherwise
     */
    public function __construct(public array $branches, public array $otherwise)
    {
    }

    public function prepared(): Closure
    {
        $branches = array_map(static fn (array $branch): array => [Preparing::value($branch[0]), Row::of($branch[1]), $branch[2]], $this->branches);
        $otherwise = Row::of($this->otherwise);

        return static function (Run $run) use ($branches, $otherwise): Said {
            foreach ($branches as [$condition, $row, $span]) {
                $value = $condition($run);
                if ($value instanceof Gap) {
                    $run->trace?->slot($span, null, $value);
                    throw Failed::gap($value, $span);
                }
                $holds = Truth::of($value);
                $run->trace?->choice($span, $holds);
                if ($holds) {
                    return new Said($row->fill($run), [], $row->own);
                }
            }

            return new Said($otherwise->fill($run), [], $otherwise->own);
        };
    }
}
