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
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Limits;

/** One command of a pack document. */
final class CommandFormat
{
    private const KEYS = [
        'id',
        'trigger',
        'aliases',
        'responses',
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
                        $command->at('aliases')->items(50),
                    )
                    : [],
            ),
            array_map(ResponseFormat::read(...), $command->at('responses')->items(100)),
            GateSettings::read($command),
            $command->has('refusals') ? self::refusals($command->at('refusals')) : [],
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
        );
    }

    /** @return array<string, mixed> */
    public static function write(Command $command): array
    {
        $about = $command->about;

        return ($command->id === $command->trigger ? [] : ['id' => $command->id]) + ['trigger' => $command->trigger]
            + ($command->triggers->aliases === [] ? [] : ['aliases' => $command->triggers->aliases]) + [
                'responses' => array_map(
                    ResponseFormat::write(...),
                    $command->responses,
                    array_keys($command->responses),
                ),
            ]
            + GateSettings::write($command->gates)
            + array_filter(
                ['refusals' => array_filter($command->refusals, static fn (string $text): bool => $text !== '')],
                static fn (array $refusals): bool => $refusals !== [],
            )
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

    /** @return array<string, string> by key, in the order of the table */
    private static function refusals(Document $refusals): array
    {
        $keys = array_keys(GateSettings::refusals());
        $refusals->object($keys);
        $texts = [];
        foreach ($keys as $key) {
            if ($refusals->has($key)) {
                $texts[$key] = $refusals->at($key)->text();
            }
        }

        // An empty reply is none.
        return array_filter($texts, static fn (string $text): bool => $text !== '');
    }
}
