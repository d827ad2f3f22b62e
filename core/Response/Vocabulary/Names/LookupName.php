<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

final readonly class LookupName extends Name
{
    public function describe(): Description
    {
        return new Description(
            'lookup',
            'arguments like port=words',
            'what the reading is',
            'High water at [lookup.tide.high port=words or "an hour nobody knows"].',
            'A reading from a web source.',
            later: 'no web source is asked yet, so on the air it has no value; rehearsals have canned results.',
            also: ['web', 'api', 'fetch'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        return isset($call->path[2]) ? [] : [Checking::partExpected($call, 'lookup.tide.high')];
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::anything(Limits::READING)->orNothing()->orGap(GapReason::LookupDown);
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function prepared(Call $call): Closure
    {
        [$source, $reading] = [$call->path[1] ?? '', $call->path[2] ?? ''];
        $prepared = array_map(static fn (Expression $one): Closure => $one->prepared(), $call->named);

        return static function (EvaluationContext $run) use ($source, $reading, $prepared): null|bool|int|string|Value {
            $arguments = [];
            foreach ($prepared as $name => $argument) {
                $value = $argument($run);
                if ($value instanceof Gap) {
                    return $value;
                }
                $arguments[$name] = $run->print($value);
            }

            return $run->read(Request::lookup($source, $reading, $arguments));
        };
    }

    /** One request for equal arguments; what cannot be told apart is a look-up of its own. */
    public function key(Call $call): string
    {
        $arguments = '';
        foreach ($call->named as $name => $argument) {
            $key =
                $argument instanceof Literal && is_scalar($argument->value)
                    ? 'is '.json_encode($argument->value)
                    : $argument->key();
            $arguments .= " $name=".($key ?? 'at '.$argument->span()->from);
        }

        return implode('.', $call->folded).$arguments;
    }

    public function parts(Pack $pack): array
    {
        return [];
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
