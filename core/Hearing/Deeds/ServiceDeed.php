<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\Service\ServiceField;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** A deed that sets something at the streaming service, which decides whether it can be. */
abstract class ServiceDeed implements EffectDeed
{
    public function gives(): array
    {
        return ['name', 'before', 'after'];
    }

    final public function do(array $with, DeedScene $scene): ActionDone
    {
        return $scene->by === null
            ? ActionDone::refused('nobody-asks')
            : $this->refusal($with) ?? ActionDone::with([], []);
    }

    final public function effect(array $with, Person $by): ServiceChange
    {
        return new ServiceChange(static::key(), $this->field(), $this->value($with), $by);
    }

    /** @return ActionDone|null a refusal of what is no line of a title */
    protected static function line(string $text): ?ActionDone
    {
        return match (true) {
            Fold::isBlank($text) => ActionDone::refused('no-text'),
            mb_strlen($text) > Limits::TITLE => ActionDone::refused('too-long', ['most' => Limits::TITLE]),
            default => null,
        };
    }

    abstract protected function field(): ServiceField;

    /** @param  array<string, string>  $with */
    abstract protected function value(array $with): string;

    /**
     * @param  array<string, string>  $with
     * @return ActionDone|null what no service would take
     */
    abstract protected function refusal(array $with): ?ActionDone;
}
