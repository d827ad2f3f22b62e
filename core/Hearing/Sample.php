<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;

/** Worked samples to begin a command with. Each says something right away, in any pack. */
enum Sample: string
{
    /** Greets whoever is named, or everybody. */
    case Greeting = 'greeting';

    /** Sends viewers to somebody else’s channel. */
    case ShoutOut = 'shout-out';

    /** Addresses in one place. */
    case Links = 'links';

    /** Says that somebody is away for a while. */
    case Away = 'away';

    /** Counts something that happens again and again. */
    case Count = 'count';

    public function label(): string
    {
        return match ($this) {
            self::Greeting => 'a greeting',
            self::ShoutOut => 'a shout-out',
            self::Links => 'links',
            self::Away => 'away',
            self::Count => 'a count',
        };
    }

    /** @param  Pack  $pack  in which it will stand: a count takes a counter that is there */
    public function command(Pack $pack): Command
    {
        $counter = array_values($pack->counters)[0]->name ?? null;

        return match ($this) {
            self::Greeting => Say::on(
                '!ahoy',
                'Ahoy, [target or "shore crew"]! [caller] saved you a seat.',
                '[target or "Everybody"], mind the wet paint on the rail.',
            ),
            self::ShoutOut => Say::on(
                '!shout',
                '[when target]Pay a visit to [target][when target.category], last seen busy with '
                    .'[target.category][end]: worth the walk along the shore.[else]Name somebody: [trigger] @name[end]',
            )->gated(new ForLevels(new LevelRule(atLeast: Level::Moderator)), new Cooldown(5, 0)),
            self::Links => Say::on(
                '!links',
                'Charts: https://charts.lantern-cove.example and the shed’s book: https://book.lantern-cove.example',
            ),
            self::Away => Say::on(
                '!away',
                '[caller] is away[when words]: [words | cut 200][end]. Back before the tide turns.',
            )->gated(new Cooldown(5, 30)),
            self::Count => $counter === null
                ? Say::on('!count', '[caller] counts: [roll 1 to 10] today.')
                : Say::on('!count', "[add 1 to counter.$counter | plural \"# time\" \"# times\"] so far.")->gated(
                    new ForLevels(new LevelRule(atLeast: Level::Moderator)),
                    new Cooldown(5, 0),
                ),
        };
    }
}
