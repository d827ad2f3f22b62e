<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Level;
use SilverParrot\Lookup\Kinds\ReadingKinds;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Reading;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Quote;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldLimits;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Guard;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Reset;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Value\Moment;

/**
 * The world of the language tests: Lantern Cove on 2026-11-25 at 09:00. Tamsin (everyone, 40 pebbles) is the caller;
 * Bram is a moderator with 7 pebbles; Odo is known with 5 pebbles, unless a case says "odo: unseen".
 */
final class World
{
    public const NOW = '2026-11-25T09:00:00Z';

    public static function pack(string $language = 'en', string $zone = 'UTC'): Pack
    {
        $named = static function (array $all): array {
            return array_combine(array_map(static fn (object $one): string => $one->name, $all), $all);
        };

        return new Pack(
            Channel::of('lantern_cove', 'Lantern Cove', $language, $zone),
            facts: $named([
                new Fact('workshop', 'the shed by the slipway'),
                new Fact('trap', '[add 99 to counter.planks]'),
                new Fact('door', '[caller] stands at [fact.workshop], with [words]', isResponse: true),
                new Fact('map', 'https://cove.example/map?lang=en#pier', parts: [
                    'chat' => 'from=chat',
                    'Join' => '/join',
                    'shed' => '#shed',
                ]),
                new Fact('round', 'round [fact.about]', isResponse: true),
                new Fact('about', 'about [fact.round]', isResponse: true),
                new Fact('greedy', '[add 1 to counter.planks]', isResponse: true),
            ]),
            lists: $named([
                new TextList(
                    'knots',
                    [new WeightedText('bowline'), new WeightedText('sheet bend'), new WeightedText('clove hitch')],
                    DrawOrder::Shuffled,
                ),
                new TextList('tools', [new WeightedText('adze'), new WeightedText('mallet')], DrawOrder::InTurn),
                new TextList('winds', [new WeightedText('north'), new WeightedText('south')], DrawOrder::NoRepeat),
                new TextList('one', [new WeightedText('only')]),
                new TextList('empty', []),
                new TextList(
                    'half',
                    [new WeightedText('adze', isOn: false), new WeightedText('mallet')],
                ),
                new TextList('daily', [new WeightedText('calm'), new WeightedText('storm')], DrawOrder::OneADay),
                new TextList('calls', [new WeightedText('Ahoy, [caller]!')], isResponses: true),
            ]),
            counters: $named([
                new Counter('planks', ceiling: 1000),
                new Counter('splinters', CounterScope::Category),
                new Counter('visits', CounterScope::Viewer),
                new Counter('ballast', start: 10, floor: 5, ceiling: 12),
                new Counter('tonight', start: 1, reset: Reset::Stream),
                new Counter('sips', CounterScope::Category, reset: Reset::Day),
                new Counter('knocks', guard: new Guard(10)),
                new Counter('anchors', changes: new ChangeRule(new LevelRule(atLeast: Level::Moderator))),
                new Counter('bells', guard: new Guard(10, onlyByAnother: true)),
            ]),
            occasions: $named([
                new Occasion('leak'),
                new Occasion('launch'),
                new Occasion('never'),
                new Occasion('refit', isComing: true),
                new Occasion('birthday', isYearly: true),
            ]),
            fields: $named([
                new Field('boat'),
                new Field('pebbles', FieldType::Points),
                new Field('height', FieldType::Number),
                new Field('age', FieldType::Number, limits: new FieldLimits(0, 120)),
                new Field('call', limits: new FieldLimits(longest: 5)),
                new Field('berth', changes: new ChangeRule(ownOnly: true)),
                new Field('born', FieldType::Moment),
                new Field('swims', FieldType::YesNo),
                new Field('motto', FieldType::Text, 'fair winds'),
            ]),
            goods: $named([new Goods('lantern', 30), new Goods('rope')]),
            ladders: ['pebbles' => new Ladder('pebbles', [20 => 'Bosun', 0 => 'Deckhand', 100 => 'Skipper'])],
            lookups: $named([
                new Lookup(
                    'tide',
                    'https://tides.cove.example/{port}',
                    [new Parameter('port')],
                    [new Reading('high', 'high', ReadingKinds::of('text'))],
                ),
                new Lookup(
                    'wind',
                    'https://winds.cove.example/{port}',
                    [new Parameter('port')],
                    [
                        new Reading('speed', 'speed', ReadingKinds::of('number'), isNoted: true),
                        new Reading('name', 'name', ReadingKinds::of('text')),
                    ],
                ),
            ]),
            emotes: [new Emote('coveWave'), new Emote('coveHammer', levels: new LevelRule([Level::Subscriber]))],
        );
    }

    public static function situation(Pack $pack, bool $odoIsKnown = true): InitialState
    {
        $memory = [
            Key::counter('planks')->id() => 3,
            Key::goods('lantern', 'cast-tamsin')->id() => 2,
            Key::stream()->id() => ['number' => 7, 'on' => true],
            Key::counter('tonight')->id() => ['n' => 5, 'of' => 'stream 7'],
            Key::counter('sips', Owner::category('Planking'))->id() => ['n' => 9, 'of' => '2026-11-24'],
            Key::counter('sips', Owner::total())->id() => ['n' => 20, 'of' => '2026-11-25'],
            Key::occasion('leak')->id() => '2026-11-15T10:00:00Z',
            Key::occasion('launch')->id() => '2027-05-01T12:00:00Z',
            Key::occasion('birthday')->id() => '1988-03-04T00:00:00Z',
            Key::longestRun('leak')->id() => ['from' => '2026-08-01T10:00:00Z', 'to' => '2026-09-01T10:00:00Z'],
            Key::listPosition('daily', Owner::viewer('cast-tamsin'))->id() => [
                'last' => TextList::idsByText([new WeightedText('storm')])[0],
                'day' => '2026-11-25',
            ],
            Key::guarded('knocks', Owner::channel())->id() => self::guarded('cast-bram'),
            Key::guarded('bells', Owner::channel())->id() => self::guarded('cast-tamsin'),
            Key::noted('counter planks')->id() => 1,
            Key::noted('counter splinters')->id() => 1,
            Key::noted('channel viewers')->id() => 50,
            // In ten-thousandths.
            Key::noted('reading wind speed')->id() => 85_000,
        ] + InitialState::counterKeys($pack->counters['splinters'], ['Planking' => 0, 'Caulking' => 4]);
        foreach (self::people($odoIsKnown) as $person) {
            $memory += InitialState::recordOf($person, $pack);
        }
        $memory += InitialState::quoteKeys([
            new Quote(
                1,
                'Measure twice, splash once.',
                'Wren Halloway',
                'Planking',
                Moment::fromIso('2026-03-01T18:00:00Z'),
            ),
            new Quote(3, 'That gull has opinions.', 'Odo'),
            new Quote(12, 'The [caller] glue holds.'),
        ]);

        return new InitialState(
            $memory,
            [
                'title' => 'Planking the port side',
                'category' => 'Planking',
                'live' => true,
                'started' => '2026-11-25T06:55:00Z',
                'viewers' => 61,
                'followers' => 12345,
                'tags' => "boats\nwood",
                'page' => 'https://cove.example/commands',
            ],
            ['wind.speed' => 12, 'wind.name' => '[caller]'],
            [
                'link.odo' => 'https://cove.example/odo',
                'followed.odo' => '2024-02-01T10:00:00Z',
                'category.odo' => 'Rigging',
                'account_made.tamsin' => '2020-11-25T09:00:00Z',
                'followed.tamsin' => null,
                'subscribed.tamsin' => null,
            ],
        );
    }

    /** @return array<string, int|string> one more was counted four seconds ago */
    private static function guarded(string $by): array
    {
        return ['at' => (Moment::fromIso(self::NOW)->millis ?? 0) - 4_000, 'by' => $by, 'what' => '+1'];
    }

    /** @return list<CastMember> */
    public static function people(bool $odoIsKnown = true): array
    {
        return [
            new CastMember('tamsin', 'Tamsin', record: ['pebbles' => '40']),
            new CastMember(
                'bram',
                'Bram',
                [Level::Follower, Level::Moderator],
                record: ['pebbles' => '7', 'boat' => 'Heron'],
            ),
            new CastMember('wren', 'Wren Halloway', [Level::Streamer]),
            ...($odoIsKnown ? [new CastMember('odo', 'Odo', [Level::Subscriber], 2, record: ['pebbles' => '5'])] : []),
        ];
    }
}
