<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Format;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Limits;

/** One command of a pack document. */
final class CommandFormat
{
    /** A day: longer pauses are for timers and occasions. */
    public const LONGEST_COOLDOWN = 86_400;

    private const KEYS = ['trigger', 'aliases', 'responses', 'levels', 'cooldown', 'refusals', 'if_it_fails', 'enabled', 'listed', 'group', 'note', 'voice', 'place', 'expectations'];

    public static function read(Document $command): Command
    {
        $command->object(self::KEYS, ['trigger', 'responses']);
        $cooldown = $command->has('cooldown') ? $command->at('cooldown')->object(['channel', 'person']) : null;
        $refusals = $command->has('refusals') ? $command->at('refusals')->object(['level', 'cooldown']) : null;
        $text = static fn (?Document $of, string $key): string => $of?->has($key) === true ? $of->at($key)->text() : '';

        return new Command(
            $command->at('trigger')->trigger(),
            array_map(WeightedTextFormat::read(...), $command->at('responses')->items(100)),
            $command->has('aliases') ? array_map(static fn (Document $alias): string => $alias->trigger(), $command->at('aliases')->items(50)) : [],
            $command->has('levels') ? LevelFormat::readRule($command->at('levels')) : new LevelRule,
            $cooldown?->has('channel') === true ? $cooldown->at('channel')->whole(0, self::LONGEST_COOLDOWN) : 10,
            $cooldown?->has('person') === true ? $cooldown->at('person')->whole(0, self::LONGEST_COOLDOWN) : 60,
            $text($refusals, 'level'),
            $text($refusals, 'cooldown'),
            $text($command, 'if_it_fails'),
            ! $command->has('enabled') || $command->at('enabled')->flag(),
            ! $command->has('listed') || $command->at('listed')->flag(),
            $command->has('group') ? $command->at('group')->text(60) : '',
            $text($command, 'note'),
            $command->has('voice') ? $command->at('voice')->oneOf(Voice::class) : Voice::Parrot,
            $command->has('place') ? $command->at('place')->oneOf(Place::class) : Place::Chat,
            $command->has('expectations') ? array_map(ExpectationFormat::read(...), $command->at('expectations')->items(Limits::EXPECTATIONS)) : [],
        );
    }

    /** @return array<string, mixed> */
    public static function write(Command $command): array
    {
        return ['trigger' => $command->trigger]
            + ($command->aliases === [] ? [] : ['aliases' => $command->aliases])
            + ['responses' => array_map(static fn (WeightedText $one): array => WeightedTextFormat::write($one), $command->responses)]
            + (($levels = LevelFormat::writeRule($command->levels)) === [] ? [] : ['levels' => $levels])
            + ['cooldown' => ['channel' => $command->channelCooldown, 'person' => $command->personCooldown]]
            + (($refusals = array_filter(['level' => $command->levelRefusal, 'cooldown' => $command->cooldownRefusal], static fn (string $text): bool => $text !== '')) === [] ? [] : ['refusals' => $refusals])
            + array_filter(['if_it_fails' => $command->ifItFails, 'group' => $command->group, 'note' => $command->note], static fn (string $text): bool => $text !== '')
            + ($command->enabled ? [] : ['enabled' => false])
            + ($command->listed ? [] : ['listed' => false])
            + ($command->voice === Voice::Parrot ? [] : ['voice' => $command->voice->value])
            + ($command->place === Place::Chat ? [] : ['place' => $command->place->value])
            + ($command->expectations === [] ? [] : ['expectations' => array_map(ExpectationFormat::write(...), $command->expectations)]);
    }
}
