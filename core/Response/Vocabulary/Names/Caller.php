<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Caller extends PersonName
{
    public function describe(): Description
    {
        return new Description(
            'caller',
            '',
            'a person',
            '[caller]',
            'The person whose line triggered the command.',
            parts: self::PARTS,
            tells: self::TELLS,
        );
    }

    protected function isAlwaysThere(): bool
    {
        return true;
    }

    public function person(EvaluationContext $run): ?Person
    {
        return $run->scene->caller;
    }

    public function prepared(Call $call): Closure
    {
        return isset($call->folded[1])
            ? parent::prepared($call)
            : static fn (EvaluationContext $run): ?Person => $run->scene->caller;
    }

    public function whenNothing(Call $call, Pack $pack): ?string
    {
        $field = $pack->fields[$call->folded[1] ?? ''] ?? null;

        return match (true) {
            $field !== null => $field->start === null && ! $field->type->isNumber()
                ? 'nothing is kept for them yet'
                : null,
            default => ($call->folded[1] ?? '') === 'tier' ? 'they do not subscribe' : null,
        };
    }
}
