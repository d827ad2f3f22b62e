<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Zones;
use SilverParrot\Document\ChangeRuleFormat;
use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\ExtraParts;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldLimits;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\FromChat;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Guard;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\QuoteSettings;
use SilverParrot\Pack\RegularRule;
use SilverParrot\Pack\Reset;
use SilverParrot\Pack\Script;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\Timer;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** The pack as an open document. What is written is read back the same; docs/pack.schema.json describes it. */
final class PackFormat
{
    public const FORMAT = 'silver-parrot-pack';

    public const VERSION = 2;

    /** Those that are read: what the first did not know is optional in the second. */
    private const READ = [1, self::VERSION];

    /** Of one kind in a pack. */
    public const DEFINITIONS = 1_000;

    /** Rules by which points are earned. */
    public const EARNINGS = 100;

    /** Of one list. */
    public const ITEMS = 10_000;

    private const KEYS = [
        'format',
        'version',
        'channel',
        'parrot',
        'talkers',
        'commands',
        'facts',
        'lists',
        'counters',
        'occasions',
        'fields',
        'cast',
        'flood',
        'goods',
        'ladders',
        'emotes',
        'quotes',
        'earnings',
        'plan',
        'refusals',
        'timers',
        'from_chat',
        'regulars',
        'lookups',
        'scripts',
    ];

    /** @return array{Pack, list<Finding>} the pack as far as it can be read, and all that is wrong with the document */
    public static function read(string $text): array
    {
        $document = Document::parse($text);
        if (is_array($document)) {
            return [Pack::blank(), $document];
        }
        $document->object(self::KEYS)->format(self::FORMAT, 'Silver Parrot pack', self::READ);
        $pack = new Pack(
            $document->has('channel') ? self::readChannel($document->at('channel')) : Pack::blank()->channel,
            $document->has('parrot') ? $document->at('parrot')->text(60) : 'silver_parrot',
            $document->has('talkers')
                ? array_map(static fn (Document $one): string => $one->text(60), $document->at('talkers')->items(100))
                : [],
            $document->has('commands') ? self::readCommands($document->at('commands')) : [],
            $document->named('facts', self::DEFINITIONS, self::readFact(...)),
            $document->named('lists', self::DEFINITIONS, self::readList(...)),
            $document->named('counters', self::DEFINITIONS, self::readCounter(...)),
            $document->named(
                'occasions',
                self::DEFINITIONS,
                static fn (Document $one): Occasion => new Occasion(
                    $one
                        ->object(['id', 'name', 'coming', 'yearly'], ['name'])
                        ->at('name')
                        ->name(),
                    self::id($one),
                    $one->has('coming') && $one->at('coming')->flag(),
                    $one->has('yearly') && $one->at('yearly')->flag(),
                ),
            ),
            $document->named('fields', self::DEFINITIONS, self::readField(...)),
            $document->has('cast') ? array_map(CastFormat::read(...), $document->at('cast')->items(200)) : [],
            $document->has('flood') ? self::readFlood($document->at('flood')) : new Flood,
            $document->named('goods', self::DEFINITIONS, self::readGoods(...)),
            self::readLadders($document),
            $document->has('emotes')
                ? array_map(EmoteFormat::read(...), $document->at('emotes')->items(self::DEFINITIONS))
                : [],
            $document->has('quotes') ? self::readQuotes($document->at('quotes')) : new QuoteSettings,
            $document->has('earnings')
                ? array_map(EarningFormat::read(...), $document->at('earnings')->items(self::EARNINGS))
                : [],
            $document->has('plan') ? PlanFormat::read($document->at('plan')) : new StreamPlan,
            $document->has('refusals') ? RefusalFormat::read($document->at('refusals'), false) : [],
            $document->has('timers') ? self::readTimers($document->at('timers')) : [],
            $document->has('from_chat') ? FromChatFormat::read($document->at('from_chat')) : new FromChat,
            $document->has('regulars') ? RegularRuleFormat::read($document->at('regulars')) : new RegularRule,
            $document->named('lookups', self::DEFINITIONS, LookupFormat::read(...)),
            self::readScripts($document),
        );

        return [$pack, $document->findings()];
    }

    /** JSON, with what is as by default left out. */
    public static function write(Pack $pack): string
    {
        $channel = $pack->channel;
        $document =
            [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'channel' => [
                    'login' => $channel->login,
                    'name' => $channel->name,
                    'language' => $channel->language,
                    'zone' => $channel->zone->getName(),
                ],
                'parrot' => $pack->parrot,
            ]
            + array_filter(
                [
                    'talkers' => $pack->talkers,
                    'commands' => array_map(CommandFormat::write(...), $pack->commands),
                    'facts' => array_map(
                        static fn (Fact $fact): array => self::named($fact) + ['text' => $fact->text]
                            + ($fact->isResponse ? ['response' => true] : [])
                            + ($fact->parts === [] ? [] : ['parts' => $fact->parts]),
                        array_values($pack->facts),
                    ),
                    'lists' => array_map(self::writeList(...), array_values($pack->lists)),
                    'counters' => array_map(self::writeCounter(...), array_values($pack->counters)),
                    'occasions' => array_map(
                        static fn (Occasion $occasion): array => self::named($occasion)
                            + ($occasion->isComing ? ['coming' => true] : [])
                            + ($occasion->isYearly ? ['yearly' => true] : []),
                        array_values($pack->occasions),
                    ),
                    'fields' => array_map(
                        static fn (Field $field): array => self::named($field) + ['type' => $field->type->value]
                            + ($field->start === null ? [] : ['start' => $field->start])
                            + ($field->one === '' ? [] : ['one' => $field->one])
                            + ($field->plural === '' ? [] : ['many' => $field->plural])
                            + ($field->leastGift === 1 ? [] : ['least_gift' => $field->leastGift])
                            + ($field->ranksStreamer ? ['ranks_streamer' => true] : [])
                            + self::writeLimits($field->limits)
                            + self::writeChanges($field->changes),
                        array_values($pack->fields),
                    ),
                    'cast' => array_map(CastFormat::write(...), $pack->cast),
                    'goods' => array_map(
                        static fn (Goods $goods): array => self::named($goods)
                            + ($goods->price === 0 ? [] : ['price' => $goods->price])
                            + ($goods->stock === null ? [] : ['stock' => $goods->stock])
                            + ($goods->buyBack === 0 ? [] : ['buy_back' => $goods->buyBack]),
                        array_values($pack->goods),
                    ),
                    'ladders' => array_map(
                        static fn (Ladder $ladder): array => ($ladder->id === $ladder->field
                            ? []
                            : ['id' => $ladder->id]) + [
                                'field' => $ladder->field,
                                'ranks' => array_map(
                                    static fn (int $least, string $name): array => ['at' => $least, 'name' => $name],
                                    array_keys($ladder->ranks),
                                    $ladder->ranks,
                                ),
                            ]
                            + ($ladder->byEverEarned ? ['by_ever_earned' => true] : [])
                            + ($ladder->isOn ? [] : ['off' => true])
                            + ($ladder->rises === '' ? [] : ['rises' => $ladder->rises])
                            + ($ladder->falls === '' ? [] : ['falls' => $ladder->falls]),
                        array_values($pack->ladders),
                    ),
                    'emotes' => array_map(EmoteFormat::write(...), $pack->emotes),
                    'plan' => PlanFormat::write($pack->plan),
                    'earnings' => array_map(EarningFormat::write(...), $pack->earnings),
                    'quotes' => ($pack->quotes->allOnce ? ['all_once' => true] : [])
                        + ($pack->quotes->dates === '' ? [] : ['dates' => $pack->quotes->dates]),
                    'refusals' => RefusalFormat::write($pack->refusals),
                    'timers' => array_map(TimerFormat::write(...), $pack->timers),
                    'from_chat' => FromChatFormat::write($pack->fromChat),
                    'regulars' => RegularRuleFormat::write($pack->regulars),
                    'lookups' => array_map(LookupFormat::write(...), array_values($pack->lookups)),
                    'scripts' => array_map(ScriptTextFormat::write(...), $pack->scripts),
                    'flood' => $pack->flood == new Flood
                            ? []
                            : ['person' => $pack->flood->person, 'channel' => $pack->flood->channel],
                ],
                static fn (array $part): bool => $part !== [],
            );

        return json_encode(
            $document,
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /** @return list<Command> */
    private static function readCommands(Document $commands): array
    {
        $read = [];
        $ids = [];
        foreach ($commands->items(Limits::COMMANDS) as $one) {
            $read[] = $command = CommandFormat::read($one);
            // What has no id of its own is told apart by its trigger; two of those are found as such.
            if ($one->has('id') && isset($ids[$command->id])) {
                $one->at('id')->flaw(DocumentError::IdTwice, ['value' => $command->id]);
            }
            $ids[$command->id] = true;
        }

        return $read;
    }

    /** @return list<Timer> */
    private static function readTimers(Document $timers): array
    {
        $read = $ids = $names = [];
        foreach ($timers->items(Timer::MOST) as $one) {
            $read[] = $timer = TimerFormat::read($one);
            [$id, $name] = [Fold::caseless($timer->id), Fold::caseless($timer->name)];
            if (isset($names[$name])) {
                $one->at('name')->flaw(DocumentError::NameTwice, ['value' => $timer->name]);
            } elseif (isset($ids[$id])) {
                $one->at($one->has('id') ? 'id' : 'name')->flaw(DocumentError::IdTwice, ['value' => $timer->id]);
            }
            [$ids[$id], $names[$name]] = [true, true];
        }

        return $read;
    }

    /** @return list<Script> */
    private static function readScripts(Document $document): array
    {
        $read = [];
        foreach ($document->has('scripts') ? $document->at('scripts')->items(Script::MOST) : [] as $one) {
            $script = ScriptTextFormat::read($one);
            if (isset($read[$script->id])) {
                $one->at('id')->flaw(DocumentError::IdTwice, ['value' => $script->id]);
            }
            $read[$script->id] = $script;
        }

        return array_values($read);
    }

    private static function id(Document $definition): string
    {
        return $definition->has('id') ? $definition->at('id')->id() : '';
    }

    /** @return array<string, mixed> the id is written where it is not the name */
    private static function named(Fact|TextList|Counter|Occasion|Field|Goods $one): array
    {
        return ($one->id === $one->name ? [] : ['id' => $one->id]) + ['name' => $one->name];
    }

    private static function readChannel(Document $channel): Channel
    {
        $channel->object(['login', 'name', 'language', 'zone'], ['login', 'name']);
        $zone = $channel->has('zone') ? $channel->at('zone')->text(60) : 'UTC';
        if (! Zones::isKnown($zone)) {
            $channel->at('zone')->flaw(DocumentError::NotAZone, ['value' => $zone]);
            $zone = 'UTC';
        }
        $language = $channel->has('language') ? $channel->at('language')->text(20) : 'en';
        if (! Languages::isKnown($language)) {
            $channel->at('language')->flaw(DocumentError::NotALanguage, ['value' => $language]);
            $language = 'en';
        }

        return Channel::of($channel->at('login')->text(60), $channel->at('name')->text(100), $language, $zone);
    }

    private static function readFlood(Document $flood): Flood
    {
        $flood->object(['person', 'channel']);
        $usual = new Flood;

        return new Flood(
            $flood->has('person') ? $flood->at('person')->whole(0, Flood::MOST) : $usual->person,
            $flood->has('channel') ? $flood->at('channel')->whole(0, Flood::MOST) : $usual->channel,
        );
    }

    private static function readQuotes(Document $quotes): QuoteSettings
    {
        $quotes->object(['all_once', 'dates']);

        return new QuoteSettings(
            $quotes->has('all_once') && $quotes->at('all_once')->flag(),
            $quotes->has('dates') ? $quotes->at('dates')->text(QuoteSettings::LONGEST_PATTERN) : '',
        );
    }

    private static function readFact(Document $fact): Fact
    {
        $fact->object(['id', 'name', 'text', 'response', 'parts'], ['name', 'text']);

        return new Fact(
            $fact->at('name')->name(),
            $fact->at('text')->text(),
            self::id($fact),
            $fact->has('response') && $fact->at('response')->flag(),
            $fact->has('parts') ? array_map(self::readPart(...), $fact->at('parts')->entriesOfNames()) : [],
        );
    }

    private static function readPart(Document $part): string
    {
        $text = $part->text(ExtraParts::LONGEST);
        if ($part->isText() && preg_match(ExtraParts::PATTERN, $text) !== 1) {
            $part->flaw(DocumentError::NotAnAddressPart, ['value' => $text]);
        }

        return $text;
    }

    private static function readList(Document $list): TextList
    {
        $list->object(['id', 'name', 'order', 'each_viewer', 'responses', 'from_chat', 'items'], ['name', 'items']);

        return new TextList(
            $list->at('name')->name(),
            array_map(WeightedTextFormat::read(...), $list->at('items')->items(self::ITEMS)),
            $list->has('order') ? $list->at('order')->oneOf(DrawOrder::class) : DrawOrder::Free,
            self::id($list),
            $list->has('each_viewer') && $list->at('each_viewer')->flag(),
            $list->has('responses') && $list->at('responses')->flag(),
            $list->has('from_chat') && $list->at('from_chat')->flag(),
        );
    }

    /** @return array<string, mixed> */
    private static function writeList(TextList $list): array
    {
        return self::named($list)
            + ($list->order === DrawOrder::Free ? [] : ['order' => $list->order->value])
            + ($list->isForEachViewer ? ['each_viewer' => true] : [])
            + ($list->isResponses ? ['responses' => true] : [])
            + ($list->isFromChat ? ['from_chat' => true] : []) + [
                'items' => array_map(WeightedTextFormat::write(...), $list->all, TextList::idsByText($list->all)),
            ];
    }

    private static function readCounter(Document $counter): Counter
    {
        $counter->object(['id', 'name', 'scope', 'start', 'floor', 'ceiling', 'reset', 'guard', 'changes'], ['name']);
        $bound = static fn (string $key, ?int $default): ?int => match (true) {
            ! $counter->has($key) => $default,
            $counter->at($key)->scalar() === null => null,
            default => $counter->at($key)->whole(-Limits::COUNTER, Limits::COUNTER),
        };

        return new Counter(
            $counter->at('name')->name(),
            $counter->has('scope') ? $counter->at('scope')->oneOf(CounterScope::class) : CounterScope::Channel,
            $bound('start', 0) ?? 0,
            $bound('floor', 0),
            $bound('ceiling', null),
            $counter->has('reset') ? $counter->at('reset')->oneOf(Reset::class) : Reset::Never,
            self::id($counter),
            $counter->has('guard') ? self::readGuard($counter->at('guard')) : new Guard,
            self::readChanges($counter),
        );
    }

    private static function readGuard(Document $guard): Guard
    {
        $guard->object(['seconds', 'only_by_another'], ['seconds']);

        return new Guard(
            $guard->at('seconds')->whole(1, Guard::LONGEST),
            $guard->has('only_by_another') && $guard->at('only_by_another')->flag(),
        );
    }

    /** @return array<string, mixed> */
    private static function writeCounter(Counter $counter): array
    {
        return self::named($counter)
            + ($counter->scope === CounterScope::Channel ? [] : ['scope' => $counter->scope->value])
            + ($counter->start === 0 ? [] : ['start' => $counter->start])
            + ($counter->floor === 0 ? [] : ['floor' => $counter->floor])
            + ($counter->ceiling === null ? [] : ['ceiling' => $counter->ceiling])
            + ($counter->reset === Reset::Never ? [] : ['reset' => $counter->reset->value])
            + ($counter->guard->stands()
                ? ['guard' => ['seconds' => $counter->guard->seconds]
                    + ($counter->guard->onlyByAnother ? ['only_by_another' => true] : [])]
                : [])
            + self::writeChanges($counter->changes);
    }

    private static function readField(Document $field): Field
    {
        $field->object(
            ['id', 'name', 'type', 'start', 'one', 'many', 'least_gift', 'ranks_streamer', 'limits', 'changes'],
            ['name'],
        );

        return new Field(
            $field->at('name')->name(),
            $field->has('type') ? $field->at('type')->oneOf(FieldType::class) : FieldType::Text,
            $field->has('start') ? $field->at('start')->text(Limits::FIELD_TEXT) : null,
            self::id($field),
            $field->has('one') ? $field->at('one')->text(Limits::NAME) : '',
            $field->has('many') ? $field->at('many')->text(Limits::NAME) : '',
            $field->has('least_gift') ? $field->at('least_gift')->whole(1, Limits::COUNTER) : 1,
            $field->has('ranks_streamer') && $field->at('ranks_streamer')->flag(),
            $field->has('limits') ? self::readLimits($field->at('limits')) : new FieldLimits,
            self::readChanges($field),
        );
    }

    private static function readLimits(Document $limits): FieldLimits
    {
        $limits->object(['least', 'most', 'longest']);
        $bound = static fn (string $key): ?int => $limits->has($key)
            ? $limits->at($key)->whole(-Limits::COUNTER, Limits::COUNTER)
            : null;

        return new FieldLimits(
            $bound('least'),
            $bound('most'),
            $limits->has('longest') ? $limits->at('longest')->whole(1, Limits::FIELD_TEXT) : Limits::FIELD_TEXT,
        );
    }

    /** @return array<string, mixed> */
    private static function writeLimits(FieldLimits $limits): array
    {
        $written = ($limits->least === null ? [] : ['least' => $limits->least])
            + ($limits->most === null ? [] : ['most' => $limits->most])
            + ($limits->longest === Limits::FIELD_TEXT ? [] : ['longest' => $limits->longest]);

        return $written === [] ? [] : ['limits' => $written];
    }

    private static function readChanges(Document $definition): ChangeRule
    {
        return $definition->has('changes') ? ChangeRuleFormat::read($definition->at('changes')) : new ChangeRule;
    }

    /** @return array<string, mixed> */
    private static function writeChanges(ChangeRule $rule): array
    {
        $written = ChangeRuleFormat::write($rule);

        return $written === [] ? [] : ['changes' => $written];
    }

    private static function readGoods(Document $goods): Goods
    {
        $goods->object(['id', 'name', 'price', 'stock', 'buy_back'], ['name']);

        return new Goods(
            $goods->at('name')->name(),
            $goods->has('price') ? $goods->at('price')->whole(0, Limits::COUNTER) : 0,
            self::id($goods),
            $goods->has('stock') ? $goods->at('stock')->whole(0, Limits::COUNTER) : null,
            $goods->has('buy_back') ? $goods->at('buy_back')->whole(0, Limits::COUNTER) : 0,
        );
    }

    /** @return array<string, Ladder> */
    private static function readLadders(Document $document): array
    {
        $ladders = [];
        foreach ($document->has('ladders') ? $document->at('ladders')->items(self::DEFINITIONS) : [] as $ladder) {
            $ladder->object(['id', 'field', 'ranks', 'by_ever_earned', 'off', 'rises', 'falls'], ['field', 'ranks']);
            $ranks = [];
            foreach ($ladder->at('ranks')->items(100) as $rank) {
                $rank->object(['at', 'name'], ['at', 'name']);
                $least = $rank->at('at')->whole(0, Limits::COUNTER);
                if (isset($ranks[$least])) {
                    $rank->at('at')->flaw(DocumentError::RankTwice, ['value' => (string) $least]);
                }
                $ranks[$least] = $rank->at('name')->text(60);
            }
            $field = $ladder->at('field')->name();
            $ladders[Fold::caseless($field)] = new Ladder(
                $field,
                $ranks,
                self::id($ladder),
                $ladder->has('by_ever_earned') && $ladder->at('by_ever_earned')->flag(),
                ! $ladder->has('off') || ! $ladder->at('off')->flag(),
                $ladder->has('rises') ? $ladder->at('rises')->text() : '',
                $ladder->has('falls') ? $ladder->at('falls')->text() : '',
            );
        }

        return $ladders;
    }
}
