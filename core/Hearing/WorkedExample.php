<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Pack\Pack;

/** Ten responses to learn the language from. Each says something in any pack; one counts, where there is a counter. */
enum WorkedExample: string
{
    case Greeting = 'greeting';
    case Typed = 'typed';
    case OneOfSeveral = 'one-of-several';
    case Luck = 'luck';
    case ByLevel = 'by-level';
    case Count = 'count';
    case DaysSince = 'days-since';
    case Busy = 'busy';
    case Address = 'address';
    case Loud = 'loud';

    /** What somebody types after the trigger to see it. */
    public function typed(): string
    {
        return match ($this) {
            self::Greeting => '@Pia',
            self::Typed => 'two biscuits',
            self::Address => 'high water',
            self::Loud => 'mind the paint',
            default => '',
        };
    }

    public function title(): string
    {
        return match ($this) {
            self::Greeting => 'Greet whoever is named, or everybody',
            self::Typed => 'Repeat what was typed',
            self::OneOfSeveral => 'Answer with one of several texts',
            self::Luck => 'Roll a percentage, with a remark',
            self::ByLevel => 'Answer moderators in another way',
            self::Count => 'Count how often something happens',
            self::DaysSince => 'Count the days since a date',
            self::Busy => 'Say what the stream is doing',
            self::Address => 'Put what was typed into a link',
            self::Loud => 'Change a text: capitals, cut short',
        };
    }

    public function response(Pack $pack): string
    {
        $counter = array_values($pack->counters)[0]->name ?? 'spills';

        return match ($this) {
            self::Greeting => 'Ahoy, [target or "everybody"]!',
            self::Typed => '[caller] orders [words or "nothing"].',
            self::OneOfSeveral => '[either "Port", "Starboard", "Straight on"], [caller].',
            self::Luck => '[roll 1 to 100 as luck] % luck today[when luck > 90], a fair wind![else].[end]',
            self::ByLevel => '[when caller.levels contains "moderator"]Aye aye, [caller]![else]Hello, [caller].[end]',
            self::Count => "[add 1 to counter.$counter | plural \"# time\" \"# times\"] so far.",
            self::DaysSince => '[since "2026-01-01" | in days | plural "# day" "# days"] since New Year.',
            self::Busy => 'We are at [channel.category or "the boat"]: [channel.title or "come and see"].',
            self::Address => 'https://charts.lantern-cove.example/?find=[words or "tides" | url]',
            self::Loud => '[words or "nothing" | upper | cut 40]',
        };
    }

    /** What is worth knowing of it. */
    public function lesson(): string
    {
        return match ($this) {
            self::Greeting => 'A slot stands in square brackets; “or” gives what is said where there is no value.',
            self::Typed => '“words” is all that was typed after the trigger; “word 1” is the first of them.',
            self::OneOfSeveral => 'Longer lists are random replies of the command, or a list under Remember.',
            self::Luck => '“as” gives a value a name, which the rest of the reply can use.',
            self::ByLevel => '“when”, “else” and “end” choose between texts.',
            self::Count => 'A verb like “add” changes what is remembered, and says the new value.',
            self::DaysSince => 'A bar leads to a filter, which changes the value before it.',
            self::Busy => 'What the streaming service tells can be missing; “or” sees to that too.',
            self::Address => '“url” makes spaces and signs safe in an address.',
            self::Loud => 'Filters work from left to right.',
        };
    }
}
