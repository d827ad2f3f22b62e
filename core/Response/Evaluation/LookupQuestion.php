<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Request;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;

/** What a look-up is asked: each parameter as the response says it, else as it comes from somewhere, else as usual. */
final class LookupQuestion
{
    /**
     * @param  array<string, string>  $said  by name, as the response says them
     * @return Request|Gap why it cannot be asked
     */
    public static function of(Lookup $lookup, string $reading, array $said, EvaluationContext $run): Request|Gap
    {
        $folded = array_combine(array_map(Fold::caseless(...), array_keys($said)), $said);
        $filled = [];
        foreach ($lookup->parameters as $name => $parameter) {
            if ($parameter->isSecret) {
                continue;
            }
            $value = match (true) {
                $parameter->isLanguage => $run->world->pack->channel->language,
                trim($folded[$name] ?? '') !== '' => $folded[$name],
                $parameter->from !== '' => self::from($lookup, $parameter, $run),
                default => '',
            };
            if ($value instanceof Gap) {
                return $value;
            }
            $admitted = $parameter->admitted($value);
            // What another look-up did not find cannot be looked up further.
            if ($admitted === null || ($admitted === '' && str_starts_with($parameter->from, 'lookup.'))) {
                return $parameter->refusal($admitted === null ? $value : '');
            }
            if ($admitted !== '') {
                $filled[$parameter->name] = $admitted;
            }
        }

        return Request::lookup($lookup->name, $reading, $filled);
    }

    /** What it is asked where nobody asks: for what is noted when a stream begins, or fetched ahead. */
    public static function unprompted(Lookup $lookup, string $reading, EvaluationContext $run): Request|Gap
    {
        $alone = $run->unprompted("lookup.{$lookup->name}");
        $question = self::of($lookup, $reading, [], $alone);
        $run->takeFrom($alone);

        return $question;
    }

    /** What the parameter is where the response does not say: of another look-up, of whoever asks, a fact. */
    private static function from(Lookup $lookup, Parameter $parameter, EvaluationContext $run): string|Gap
    {
        $said = $run->own->say("[{$parameter->from} or \"\"]", "lookup.{$lookup->name}.{$parameter->name}", $run);

        return $said instanceof Said ? $run->print($said) : $said;
    }
}
