<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Source\Span;
use SilverParrot\Source\TextTrimmer;
use SilverParrot\Value\Gap;

/** Somebody who is named by login, behind `for`: “for "odo"”, “for word 1”. Nobody where it could be no login. */
final readonly class PersonByLogin extends Expression
{
    public function __construct(private Expression $login)
    {
    }

    public function span(): Span
    {
        return $this->login->span();
    }

    public function children(): array
    {
        return [$this->login];
    }

    public function prepared(): Closure
    {
        $of = $this->login->prepared();

        return static function (EvaluationContext $run) use ($of): Person|Gap|null {
            $value = $of($run);

            if (is_string($value)) {
                return self::named($value, $run);
            }

            return $value instanceof Gap ? $value : null;
        };
    }

    private static function named(string $text, EvaluationContext $run): Person|Gap|null
    {
        $login = TextTrimmer::withoutPunctuation(ltrim(trim($text), '@'));
        if (! $run->world->profile->couldBeName($login)) {
            return null;
        }
        if ($run->scene->caller?->is($login) === true) {
            return $run->scene->caller;
        }
        $key = Key::person($login);
        if (! $run->knows($key)) {
            return Gap::pending();
        }

        return Person::fromRecord($run->memory()->value($key)) ?? Person::unknown($login);
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $login = $in->value($this->login);
        $person = ValueEstimate::of(ValueKind::Person, 1, $in->profile->longestName)->orGap(...$login->gaps);
        $isOne = is_string($login->written) && $in->profile->couldBeName(ltrim(trim($login->written), '@'));

        return $isOne ? $person : $person->orNothing();
    }

    public function isPerson(): bool
    {
        return true;
    }

    public function saysOwnText(): bool
    {
        return false;
    }

    public function whenNothing(Pack $pack): string
    {
        return 'nobody is named';
    }
}
