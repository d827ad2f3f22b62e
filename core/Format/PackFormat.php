<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\FromChat;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\QuoteSettings;
use SilverParrot\Pack\RegularRule;
use SilverParrot\Pack\Script;
use SilverParrot\Pack\StreamPlan;
use SilverParrot\Pack\Timer;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** The pack as an open document. What is written is read back the same; docs/formats/pack.schema.json describes it. */
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
            $document->has('channel') ? ChannelFormat::read($document->at('channel')) : Pack::blank()->channel,
            $document->has('parrot') ? $document->at('parrot')->text(60) : 'silver_parrot',
            $document->has('talkers')
                ? array_map(static fn (Document $one): string => $one->text(60), $document->at('talkers')->items(100))
                : [],
            $document->has('commands') ? self::readCommands($document->at('commands')) : [],
            $document->named('facts', self::DEFINITIONS, FactFormat::read(...)),
            $document->named('lists', self::DEFINITIONS, TextListFormat::read(...)),
            $document->named('counters', self::DEFINITIONS, CounterFormat::read(...)),
            $document->named('occasions', self::DEFINITIONS, OccasionFormat::read(...)),
            $document->named('fields', self::DEFINITIONS, FieldFormat::read(...)),
            $document->has('cast') ? array_map(CastFormat::read(...), $document->at('cast')->items(200)) : [],
            $document->has('flood') ? FloodFormat::read($document->at('flood')) : new Flood,
            $document->named('goods', self::DEFINITIONS, GoodsFormat::read(...)),
            self::readLadders($document),
            $document->has('emotes')
                ? array_map(EmoteFormat::read(...), $document->at('emotes')->items(self::DEFINITIONS))
                : [],
            $document->has('quotes') ? QuoteSettingsFormat::read($document->at('quotes')) : new QuoteSettings,
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
        $document =
            [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'channel' => ChannelFormat::write($pack->channel),
                'parrot' => $pack->parrot,
            ]
            + array_filter(
                [
                    'talkers' => $pack->talkers,
                    'commands' => array_map(CommandFormat::write(...), $pack->commands),
                    'facts' => array_map(FactFormat::write(...), array_values($pack->facts)),
                    'lists' => array_map(TextListFormat::write(...), array_values($pack->lists)),
                    'counters' => array_map(CounterFormat::write(...), array_values($pack->counters)),
                    'occasions' => array_map(OccasionFormat::write(...), array_values($pack->occasions)),
                    'fields' => array_map(FieldFormat::write(...), array_values($pack->fields)),
                    'cast' => array_map(CastFormat::write(...), $pack->cast),
                    'goods' => array_map(GoodsFormat::write(...), array_values($pack->goods)),
                    'ladders' => array_map(LadderFormat::write(...), array_values($pack->ladders)),
                    'emotes' => array_map(EmoteFormat::write(...), $pack->emotes),
                    'plan' => PlanFormat::write($pack->plan),
                    'earnings' => array_map(EarningFormat::write(...), $pack->earnings),
                    'quotes' => QuoteSettingsFormat::write($pack->quotes),
                    'refusals' => RefusalFormat::write($pack->refusals),
                    'timers' => array_map(TimerFormat::write(...), $pack->timers),
                    'from_chat' => FromChatFormat::write($pack->fromChat),
                    'regulars' => RegularRuleFormat::write($pack->regulars),
                    'lookups' => array_map(LookupFormat::write(...), array_values($pack->lookups)),
                    'scripts' => array_map(ScriptTextFormat::write(...), $pack->scripts),
                    'flood' => FloodFormat::write($pack->flood),
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

    /** @return array<string, Ladder> by the folded name of their field */
    private static function readLadders(Document $document): array
    {
        $ladders = [];
        foreach ($document->has('ladders') ? $document->at('ladders')->items(self::DEFINITIONS) : [] as $one) {
            $ladder = LadderFormat::read($one);
            $ladders[Fold::caseless($ladder->field)] = $ladder;
        }

        return $ladders;
    }
}
