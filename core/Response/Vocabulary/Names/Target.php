<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Source\TextTrimmer;
use SilverParrot\Value\Gap;

final readonly class Target extends PersonName
{
    public function describe(): Description
    {
        return new Description(
            'target',
            '',
            'a person',
            'Ahoy [target or "shore crew"]!',
            'The person named after the trigger: the first word that begins with @, else the first word when it could '
                .'be a name.',
            parts: self::PARTS,
            tells: self::TELLS,
        );
    }

    protected function isAlwaysThere(): bool
    {
        return false;
    }

    public function person(EvaluationContext $run): Person|Gap|null
    {
        $typed = self::typed($run->scene, $run->world->profile);
        if ($typed === null) {
            return null;
        }
        if ($run->scene->caller?->is($typed) === true) {
            return $run->scene->caller;
        }
        $key = Key::person($typed);
        if (! $run->knows($key)) {
            return Gap::pending();
        }

        return Person::fromRecord($run->memory()->value($key)) ?? Person::unknown($typed);
    }

    public function mayRead(Call $call): bool
    {
        return true;
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $typed = $run->scene->wordList === [] ? null : self::typed($run->scene, $run->world->profile);

        return $typed === null || $run->scene->caller?->is($typed) === true
            ? []
            : [Key::person($typed), ...$run->memory()->knows(Key::person($typed)) ? parent::reads($call, $run) : []];
    }

    /** The name as it was typed; null where nobody is named. */
    public static function typed(Invocation $scene, ChatProfile $profile): ?string
    {
        if ($scene->wordList === []) {
            return null;
        }
        foreach ($scene->wordList as $word) {
            $name = str_starts_with($word, '@') ? TextTrimmer::withoutPunctuation(substr($word, 1)) : '';
            if ($name !== '' && $profile->couldBeName($name)) {
                return $name;
            }
        }
        $first = TextTrimmer::withoutPunctuation($scene->wordList[0]);

        return $profile->couldBeName($first) ? $first : null;
    }

    public function prepared(Call $call): Closure
    {
        return isset($call->folded[1])
            ? parent::prepared($call)
            : fn (EvaluationContext $run): Person|Gap|null => $run->scene->wordList === [] ? null : $this->person($run);
    }

    public function readsLine(): bool
    {
        return true;
    }

    public function whenNothing(Call $call, Pack $pack): string
    {
        return isset($pack->fields[$call->folded[1] ?? ''])
            ? 'nobody is named, or nothing is kept for them'
            : 'nobody is named';
    }
}
