<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\Kinds\ListKind;
use SilverParrot\Lookup\Kinds\MomentKind;
use SilverParrot\Lookup\Kinds\NumberKind;
use SilverParrot\Lookup\Kinds\YesNoKind;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Reading;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Many;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\LookupQuestion;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

final readonly class LookupName extends Name
{
    /** What was noted when the stream began, and what came since. */
    private const NOTED = ['at_start', 'gained'];

    public function describe(): Description
    {
        return new Description(
            'lookup',
            'arguments like port=words',
            'what the reading is',
            'High water at [lookup.tide.high port=words or "an hour nobody knows"].',
            'A reading from a web source; .age is how old its answer is. Behind a noted number, .gained is what '
                .'came since the stream began.',
            also: ['web', 'api', 'fetch'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        if (! isset($call->path[2])) {
            return [Checking::partExpected($call, self::example($call, $pack))];
        }
        if ($pack->lookups === []) {
            return [];
        }
        $lookup = $pack->lookups[$call->folded[1]] ?? null;
        if ($lookup === null) {
            return [Checking::unknownPart($call, 1, array_map(
                static fn (Lookup $one): string => $one->name,
                array_values($pack->lookups),
            ))];
        }
        $isKnown = $call->folded[2] === CannedAnswers::AGE || isset($lookup->readings[$call->folded[2]]);

        return match (true) {
            ! $isKnown => [
                Checking::unknownPart($call, 2, [
                    ...array_map(static fn (Reading $one): string => $one->name, array_values($lookup->readings)),
                    CannedAnswers::AGE,
                ]),
                ...self::unknownParameters($call, $lookup),
            ],
            isset($call->path[3]) => self::unknownNoted($call, $lookup->readings[$call->folded[2]] ?? null),
            default => self::unknownParameters($call, $lookup),
        };
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $lookup = $in->pack->lookups[$call->folded[1] ?? ''] ?? null;
        $reading = $lookup->readings[$call->folded[2] ?? ''] ?? null;

        $kind = $reading?->kind;
        $longest = $reading === null ? Limits::READING : $reading->longest;
        $estimate = match (true) {
            isset($call->path[3]) => ValueEstimate::number(
                $call->folded[3] === 'gained' ? NumberKind::LONGEST : NotedNumbers::LONGEST,
            )->orNothing(),
            $lookup !== null && ($call->folded[2] ?? '') === CannedAnswers::AGE => $in->lengths->timeSpan(),
            $kind === null => ValueEstimate::anything(Limits::READING)->orNothing(),
            $kind instanceof NumberKind => ValueEstimate::number(NumberKind::LONGEST),
            $kind instanceof MomentKind => $in->lengths->moment(),
            $kind instanceof YesNoKind => $in->lengths->yesNo(),
            $kind instanceof ListKind => ValueEstimate::items(
                Many::of(ValueEstimate::text(1, $longest), ListKind::MOST),
                $in->lengths->joint(),
            ),
            default => ValueEstimate::text(1, $longest),
        };

        return $estimate->orGap(GapReason::LookupDown);
    }

    public function longestPath(): int
    {
        return 4;
    }

    public function lastParts(): array
    {
        return self::NOTED;
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[3]);
    }

    public function prepared(Call $call): Closure
    {
        [$source, $reading, $noted] = [$call->path[1] ?? '', $call->path[2] ?? '', $call->folded[3] ?? ''];
        $prepared = array_map(static fn (Expression $one): Closure => $one->prepared(), $call->named);

        $isGained = $noted === 'gained';

        return static function (EvaluationContext $run) use (
            $source,
            $reading,
            $prepared,
            $noted,
            $isGained,
        ): null|bool|int|string|Value {
            $arguments = [];
            foreach ($prepared as $name => $argument) {
                $value = $argument($run);
                if ($value instanceof Gap) {
                    return $value;
                }
                $arguments[$name] = $run->print($value);
            }
            $lookup = $run->world->pack->lookups[Fold::caseless($source)] ?? null;
            if ($lookup !== null && $noted !== '') {
                return self::noted($lookup, $reading, $isGained, $run);
            }
            if ($lookup === null) {
                return $run->read(Request::lookup($source, $reading, $arguments));
            }
            $question = LookupQuestion::of($lookup, $reading, $arguments, $run);

            return $question instanceof Gap ? $question : $run->lookUp($lookup, $question);
        };
    }

    /** What was noted is of the question that nobody asks: whoever asks now, and whatever they type, it is that one. */
    private static function noted(
        Lookup $lookup,
        string $reading,
        bool $isGained,
        EvaluationContext $run,
    ): int|Number|Gap|null {
        $question = LookupQuestion::unprompted($lookup, $reading, $run);
        $now = $isGained && $question instanceof Request ? $run->lookUp($lookup, $question) : null;
        $key = NotedNumbers::ofReading($lookup, $reading);
        if ($question instanceof Gap || $now instanceof Gap) {
            return $question instanceof Gap ? $question : $now;
        }
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $then = NotedNumbers::fromKept($run->memory()->value($key));

        return match (true) {
            $then === null => null,
            ! $isGained => $then,
            is_int($now), $now instanceof Number => Number::of(Number::exactOf($now)->minus(Number::exactOf($then))),
            default => null,
        };
    }

    /** @return list<Finding> */
    private static function unknownNoted(Call $call, ?Reading $reading): array
    {
        return match (true) {
            ! in_array($call->folded[3], self::NOTED, true) => [Checking::unknownPart($call, 3, self::NOTED)],
            $reading === null || ! $reading->isNoted => [new Finding(
                SyntaxErrorCode::NotNoted,
                $call->span(),
                data: ['name' => implode('.', array_slice($call->path, 0, 3))],
            )],
            default => Checking::takesNothing($call),
        };
    }

    /** @return list<Finding> */
    private static function unknownParameters(Call $call, Lookup $lookup): array
    {
        // A secret is nobody's to say.
        $sayable = array_filter($lookup->parameters, static fn (Parameter $one): bool => ! $one->isSecret);
        $known = array_map(static fn (Parameter $one): string => $one->name, array_values($sayable));
        $findings = [];
        foreach (array_keys($call->named) as $name) {
            if (! isset($sayable[Fold::caseless($name)])) {
                $nearest = Suggestions::to($name, $known);
                $findings[] = new Finding(
                    SyntaxErrorCode::UnknownArgument,
                    $call->span(),
                    data: ['name' => implode('.', $call->path), 'argument' => $name]
                        + ($nearest === null ? [] : ['nearest' => $nearest]),
                );
            }
        }

        return $findings;
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
        $parts = [];
        foreach ($pack->lookups as $lookup) {
            foreach ($lookup->readings as $reading) {
                $parts[] = "{$lookup->name}.{$reading->name}";
                foreach ($reading->isNoted ? self::NOTED : [] as $noted) {
                    $parts[] = "{$lookup->name}.{$reading->name}.$noted";
                }
            }
            $parts[] = "{$lookup->name}.".CannedAnswers::AGE;
        }

        return $parts;
    }

    public function standsAlone(): bool
    {
        return false;
    }

    private static function example(Call $call, Pack $pack): string
    {
        $lookup = $pack->lookups[$call->folded[1] ?? ''] ?? array_values($pack->lookups)[0] ?? null;
        $reading = $lookup === null ? null : array_values($lookup->readings)[0] ?? null;

        return $lookup === null ? 'lookup.tide.high' : "lookup.{$lookup->name}.".($reading->name ?? CannedAnswers::AGE);
    }
}
