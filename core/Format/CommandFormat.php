<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Document\Document;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Limits;

/** One command of a pack document. */
final class CommandFormat
{
    private const KEYS = [
        'id',
        'trigger',
        'name_only',
        'aliases',
        'phrases',
        'responses',
        'order',
        'refusals',
        'if_it_fails',
        'listed',
        'group',
        'note',
        'voice',
        'place',
        'expectations',
    ];

    public static function read(Document $command): Command
    {
        $command->object([...self::KEYS, ...GateSettings::keys()], ['trigger', 'responses']);
        $text = static fn (string $key): string => $command->has($key) ? $command->at($key)->text() : '';

        return new Command(
            new Triggers(
                $command->at('trigger')->trigger(),
                $command->has('aliases')
                    ? array_map(
                        static fn (Document $alias): string => $alias->trigger(),
                        $command->at('aliases')->items(Triggers::MOST_ALIASES),
                    )
                    : [],
                $command->has('phrases')
                    ? array_map(PhraseFormat::read(...), $command->at('phrases')->items(Phrase::MOST))
                    : [],
                $command->has('name_only') && $command->at('name_only')->flag(),
            ),
            array_map(ResponseFormat::read(...), $command->at('responses')->items(100)),
            GateSettings::read($command),
            $command->has('refusals') ? RefusalFormat::read($command->at('refusals'), true) : [],
            $text('if_it_fails'),
            new Delivery(
                $command->has('voice') ? $command->at('voice')->oneOf(Voice::class) : Voice::Parrot,
                $command->has('place') ? $command->at('place')->oneOf(Place::class) : Place::Chat,
            ),
            new CommandMetadata(
                $command->has('group') ? $command->at('group')->text(60) : '',
                $text('note'),
                ! $command->has('listed') || $command->at('listed')->flag(),
                $command->has('expectations')
                    ? array_map(ExpectationFormat::read(...), $command->at('expectations')->items(Limits::EXPECTATIONS))
                    : [],
            ),
            $command->has('id') ? $command->at('id')->id() : '',
            $command->has('order') ? $command->at('order')->oneOf(DrawOrder::class) : DrawOrder::Free,
        );
    }

    /** @return array<string, mixed> */
    public static function write(Command $command): array
    {
        $about = $command->about;

        return ($command->id === $command->trigger ? [] : ['id' => $command->id]) + ['trigger' => $command->trigger]
            + ($command->triggers->isNameOnly ? ['name_only' => true] : [])
            + ($command->triggers->aliases === [] ? [] : ['aliases' => $command->triggers->aliases])
            + ($command->triggers->phrases === []
                ? []
                : ['phrases' => array_map(PhraseFormat::write(...), $command->triggers->phrases)]) + [
                    'responses' => array_map(
                        ResponseFormat::write(...),
                        $command->responses,
                        array_keys($command->responses),
                    ),
                ]
            + ($command->order === DrawOrder::Free ? [] : ['order' => $command->order->value])
            + GateSettings::write($command->gates)
            + ($command->refusals === [] ? [] : ['refusals' => RefusalFormat::write($command->refusals)])
            + array_filter(
                ['if_it_fails' => $command->ifItFails, 'group' => $about->group, 'note' => $about->note],
                static fn (string $text): bool => $text !== '',
            )
            + ($about->listed ? [] : ['listed' => false])
            + ($command->delivery->voice === Voice::Parrot ? [] : ['voice' => $command->delivery->voice->value])
            + ($command->delivery->place === Place::Chat ? [] : ['place' => $command->delivery->place->value])
            + ($about->expectations === []
                ? []
                : ['expectations' => array_map(ExpectationFormat::write(...), $about->expectations)]);
    }
}
