<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models;
use App\Models\CommandRow;
use App\Models\TimerRow;
use App\Storage\Definitions\Scripts;
use App\Web\AddressesLookedAt;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Zones;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Document\Document;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Format\FromChatFormat;
use SilverParrot\Format\PlanFormat;
use SilverParrot\Format\RegularRuleFormat;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Earning;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\ExtraParts;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldLimits;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Guard;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\QuoteSettings;
use SilverParrot\Pack\Reset;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\Timer;
use SilverParrot\Pack\Triggers;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/**
 * Makes the immutable pack of a channel's rows, in a number of queries that does not grow with them. Definitions are
 * read as plain rows: there may be thousands, and a model of each would take most of the time.
 */
final class Assembler
{
    /** All of it but the pixels of emotes, which only a document needs. */
    public function pack(Models\Channel $channel): Pack
    {
        return self::assemble($channel, array_values($this->commands($channel)), self::emotes($channel), null);
    }

    /** All of it, as a document keeps it. */
    public function document(Models\Channel $channel): Pack
    {
        return $this->documentOf($channel, $this->commands($channel));
    }

    /** @param  array<int, Command>  $commands  the channel's, as they were read */
    public function documentOf(Models\Channel $channel, array $commands): Pack
    {
        return self::assemble($channel, array_values($commands), self::emotesWithPixels($channel), null);
    }

    /** @return array<int, Command> by the row's number, in the order of a document */
    public function commands(Models\Channel $channel): array
    {
        $commands = [];
        foreach ($channel->commands()->with(['aliases', 'responses', 'expectations'])->orderBy('id')->get() as $row) {
            $commands[$row->id] = CommandRepository::toCore($row);
        }

        return $commands;
    }

    /**
     * Everything that can be named, without the commands.
     *
     * @param  Named|null  $whole  the lists and facts that are needed whole, while of others their names are enough;
     *     null for all
     */
    public function names(Models\Channel $channel, ?Named $whole = null): Pack
    {
        return self::assemble($channel, [], self::emotes($channel), $whole);
    }

    /**
     * Everything that can be named, and of each command what a list of commands tells: what it is called, and who may.
     */
    public function namesAndTriggers(Models\Channel $channel): Pack
    {
        return $this->names($channel)->withCommands(array_values(self::listed($channel, [])));
    }

    /**
     * As much of the pack as these lines reach: what can be named, the commands that they set off, and of all others
     * what they are called and who may.
     *
     * @param  list<string>  $lines
     */
    public function reachedBy(Models\Channel $channel, array $lines): Pack
    {
        $aliases = [];
        foreach ($channel->aliases()->orderBy('position')->toBase()->get(['command_id', 'alias']) as $row) {
            /** @var object{command_id: int, alias: string} $row */
            $aliases[$row->command_id][] = $row->alias;
        }
        $commands = self::listed($channel, $aliases);
        $names = $this->names($channel);
        // Which trigger a line begins with, and which phrase stands in it, is the core's to say.
        $known = $names->withCommands(array_values($commands));
        $reached = $channel
            ->commands()
            ->with(['aliases', 'responses', 'expectations'])
            ->where(static fn (Builder $any): Builder => $any->whereIn('stable_id', array_filter(array_map(
                static fn (string $line): ?string => TriggerMatch::in($known, $line)?->command->id,
                $lines,
            )))->orWhere('phrases', '<>', '[]'))
            ->get();
        foreach ($reached as $row) {
            $commands[$row->id] = CommandRepository::toCore($row);
        }

        $pack = $names->withCommands(array_values($commands));

        return self::withThoseRun(
            $channel,
            $pack,
            array_values($reached->map(static fn (CommandRow $row): Command => $commands[$row->id])->all()),
        );
    }

    /**
     * The same pack with all of the commands that these run, and those that they run.
     *
     * @param  list<Command>  $commands
     */
    public static function withThoseRun(Models\Channel $channel, Pack $pack, array $commands): Pack
    {
        $runs = static fn (Command ...$some): array => array_merge(
            [],
            ...array_map(static fn (Command $one): array => $one->runs(), array_values($some)),
        );
        $seen = [];
        for ($next = $runs(...$commands); $next !== [];) {
            $seen += array_flip($next);
            $found = $channel
                ->commands()
                ->with(['aliases', 'responses', 'expectations'])
                ->whereIn('stable_id', $next)
                ->get()
                ->map(CommandRepository::toCore(...))
                ->all();
            foreach ($found as $one) {
                $pack = $pack->withCommand($one, $one->trigger);
            }
            $next = array_values(array_diff($runs(...array_values($found)), array_keys($seen)));
        }

        return $pack;
    }

    /**
     * @param  array<int, list<string>>  $aliases  by the command's number
     * @return array<int, Command> with their triggers, gates and ids alone, in the order of a document
     */
    private static function listed(Models\Channel $channel, array $aliases): array
    {
        $commands = [];
        $rows = $channel
            ->commands()
            ->select(['id', 'stable_id', 'trigger', 'name_only', 'gates', 'listed'])
            ->orderBy('id');
        foreach ($rows->toBase()->get() as $row) {
            /**
             * @var object{id: int, stable_id: string, trigger: string, name_only: int, gates: string, listed: int} $row
             */
            $gates = json_decode($row->gates, true);
            $commands[$row->id] = new Command(
                new Triggers($row->trigger, $aliases[$row->id] ?? [], isNameOnly: $row->name_only === 1),
                gates: GateSettings::read(Document::of(is_array($gates) ? $gates : [])),
                about: new CommandMetadata(listed: $row->listed === 1),
                id: $row->stable_id,
            );
        }

        return $commands;
    }

    /**
     * @param  list<Command>  $commands
     * @param  list<Emote>  $emotes
     */
    private static function assemble(Models\Channel $channel, array $commands, array $emotes, ?Named $whole): Pack
    {
        return new Pack(
            self::channel($channel),
            $channel->parrot,
            $channel->talkers,
            $commands,
            self::facts($channel, $whole),
            self::lists($channel, $whole),
            self::named(
                self::rows($channel->counters(), static function (object $row): Counter {
                    /**
                     * @var object{name: string, stable_id: string, scope: string, start: int, floor: int|null,
                     *     ceiling: int|null, reset: string, guard_seconds: int, guard_by_another: int,
                     *     changed_by: string, own_only: int, not_by_hand: int} $row
                     */
                    return new Counter(
                        $row->name,
                        CounterScope::from($row->scope),
                        $row->start,
                        $row->floor,
                        $row->ceiling,
                        Reset::from($row->reset),
                        $row->stable_id,
                        new Guard($row->guard_seconds, $row->guard_by_another === 1),
                        self::changes($row),
                    );
                }),
            ),
            self::named(
                self::rows($channel->occasions(), static function (object $row): Occasion {
                    /** @var object{name: string, stable_id: string, coming: int, yearly: int} $row */
                    return new Occasion($row->name, $row->stable_id, $row->coming === 1, $row->yearly === 1);
                }),
            ),
            self::named(
                self::rows($channel->fields(), static function (object $row): Field {
                    /**
                     * @var object{name: string, stable_id: string, type: string, start: string|null, one: string,
                     *     many: string, least_gift: int, ranks_streamer: int, least: int|null, most: int|null,
                     *     longest: int, changed_by: string, own_only: int, not_by_hand: int} $row
                     */
                    return new Field(
                        $row->name,
                        FieldType::from($row->type),
                        $row->start,
                        $row->stable_id,
                        $row->one,
                        $row->many,
                        $row->least_gift,
                        $row->ranks_streamer === 1,
                        new FieldLimits($row->least, $row->most, $row->longest),
                        self::changes($row),
                    );
                }),
            ),
            array_values($channel->castMembers()->get()->map(self::castMember(...))->all()),
            new Flood($channel->flood_person, $channel->flood_channel),
            self::named(
                self::rows($channel->goods(), static function (object $row): Goods {
                    /**
                     * @var object{name: string, stable_id: string, price: int, stock: int|null, buy_back: int} $row
                     */
                    return new Goods($row->name, $row->price, $row->stable_id, $row->stock, $row->buy_back);
                }),
            ),
            $channel
                ->ladders()
                ->orderBy('id')
                ->get()
                ->mapWithKeys(
                    static fn (Models\LadderRow $ladder): array => [
                        Fold::caseless($ladder->name) => new Ladder(
                            $ladder->name,
                            $ladder->ranks,
                            $ladder->stable_id,
                            $ladder->by_ever_earned,
                            $ladder->is_on,
                            $ladder->rises,
                            $ladder->falls,
                        ),
                    ],
                )
                ->all(),
            $emotes,
            new QuoteSettings($channel->quotes_all_once, $channel->quote_dates),
            array_values(
                $channel
                    ->earnings()
                    ->orderBy('id')
                    ->get()
                    ->map(
                        static fn (Models\EarningRow $row): Earning => new Earning(
                            $row->stable_id,
                            $row->unit,
                            $row->earned_by,
                            $row->amount,
                            $row->minutes,
                            LevelFormat::readRule(Document::of($row->levels)),
                            $row->while_live,
                            $row->happening,
                        ),
                    )
                    ->all(),
            ),
            PlanFormat::read(Document::of($channel->plan ?? [])),
            $channel->refusals ?? [],
            array_values(
                $channel->timers()->orderBy('id')->get()->map(static fn (TimerRow $row): Timer => $row->timer())->all(),
            ),
            FromChatFormat::read(Document::of($channel->from_chat ?? [])),
            RegularRuleFormat::read(Document::of($channel->regulars ?? [])),
            self::lookups($channel, $whole),
            $whole === null ? Scripts::of($channel) : [],
        );
    }

    /** @return array<string, Lookup> whole where one is wanted by name: one may take its parameters from another */
    private static function lookups(Models\Channel $channel, ?Named $whole): array
    {
        if ($whole !== null && $whole->lookups === []) {
            return [];
        }
        $lookups = [];
        foreach ($channel->lookups()->orderBy('id')->get() as $row) {
            $lookups[$row->name_folded] = $row->lookup();
        }

        return $lookups;
    }

    /** @return array<string, Fact> */
    private static function facts(Models\Channel $channel, ?Named $whole): array
    {
        $query = $whole === null ? $channel->facts() : $channel->facts()->where(
            // One that is a response may lead to others.
            static fn (Builder $any): Builder => $any->whereIn('name_folded', $whole->facts)->orWhere(
                'is_response',
                true,
            ),
        );
        /** @var array<int, object{text: string, parts: string}> $texts by the row's number */
        $texts = $query->toBase()->get(['id', 'text', 'parts'])->keyBy('id')->all();

        return self::named(
            self::rows($channel->facts()->select(['id', 'name', 'stable_id', 'is_response']), static function (
                object $row,
            ) use ($texts): Fact {
                /** @var object{id: int, name: string, stable_id: string, is_response: int} $row */
                $parts = ExtraParts::typed($texts[$row->id]->parts ?? '');

                return new Fact(
                    $row->name,
                    $texts[$row->id]->text ?? '',
                    $row->stable_id,
                    $row->is_response === 1,
                    is_array($parts) ? $parts : [],
                );
            }),
        );
    }

    /** @return array<string, TextList> */
    private static function lists(Models\Channel $channel, ?Named $whole): array
    {
        $query = $channel->listItems()->orderBy('list_id')->orderBy('position');
        if ($whole !== null) {
            $query->whereIn('list_id', $channel->lists()->where(
                static fn (Builder $any): Builder => $any->whereIn('name_folded', $whole->lists)->orWhere(
                    'responses',
                    true,
                ),
            )->select('id'));
        }
        $items = [];
        foreach ($query->toBase()->get(['list_id', 'text', 'weight', 'stable_id', 'is_on']) as $row) {
            /** @var object{list_id: int, text: string, weight: int, stable_id: string, is_on: int} $row */
            $items[$row->list_id][] = new WeightedText($row->text, $row->weight, $row->stable_id, $row->is_on === 1);
        }

        return self::named(self::rows($channel->lists(), static function (object $row) use ($items): TextList {
            /**
             * @var object{id: int, name: string, stable_id: string, draw_order: string, each_viewer: int,
             *     responses: int, from_chat: int} $row
             */
            return new TextList(
                $row->name,
                $items[$row->id] ?? [],
                DrawOrder::from($row->draw_order),
                $row->stable_id,
                $row->each_viewer === 1,
                $row->responses === 1,
                $row->from_chat === 1,
            );
        }));
    }

    /** @return list<Emote> with the address of the picture, where a page gets it from */
    public static function emotes(Models\Channel $channel): array
    {
        return array_values(
            $channel->emotesInShort
                ->map(
                    static fn (Models\EmoteRow $emote): Emote => self::emote(
                        $emote,
                        $emote->has_picture === 1 ? route('remember.emotes.picture', [$channel, $emote]) : '',
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Emote> */
    private static function emotesWithPixels(Models\Channel $channel): array
    {
        return array_values(
            $channel
                ->emotes()
                ->get()
                ->map(static fn (Models\EmoteRow $emote): Emote => self::emote($emote, $emote->picture))
                ->all(),
        );
    }

    private static function emote(Models\EmoteRow $emote, string $picture): Emote
    {
        return new Emote(
            $emote->word,
            $picture,
            $emote->levels,
            $emote->stable_id,
        );
    }

    /**
     * @template T of object
     *
     * @param  HasMany<covariant Model, Models\Channel>  $of
     * @param  Closure(object): T  $toCore
     * @return list<T>
     */
    private static function rows(HasMany $of, Closure $toCore): array
    {
        return array_values(array_map($toCore, $of->orderBy('id')->toBase()->get()->all()));
    }

    public static function channel(Models\Channel $channel): Channel
    {
        // What was let in before all were looked at must not keep every page of the channel from coming.
        return Channel::of(
            $channel->login,
            $channel->name,
            Languages::isKnown($channel->language) ? $channel->language : 'en',
            Zones::isKnown($channel->zone) ? $channel->zone : 'UTC',
        );
    }

    /** What checks of its pack know besides the pack. */
    public static function environment(Models\Channel $channel): CheckEnvironment
    {
        $categories = $channel->details['categories'] ?? '';

        return new CheckEnvironment(
            Moment::of(now()),
            $channel->profile(),
            is_string($categories) && $categories !== '' ? explode("\n", $categories) : [],
            AddressesLookedAt::wrong($channel),
        );
    }

    /** @param  object{changed_by: string, own_only: int, not_by_hand: int}  $row */
    private static function changes(object $row): ChangeRule
    {
        return new ChangeRule(LevelFormat::ofLine($row->changed_by), $row->own_only === 1, $row->not_by_hand !== 1);
    }

    private static function castMember(Models\CastMemberRow $member): CastMember
    {
        return new CastMember(
            $member->login,
            $member->name,
            $member->levels,
            $member->tier,
            $member->habits,
            $member->record,
            $member->details,
        );
    }

    /**
     * @template T of object{name: string}
     *
     * @param  list<T>  $definitions
     * @return array<string, T>
     */
    private static function named(array $definitions): array
    {
        $named = [];
        foreach ($definitions as $one) {
            $named[Fold::caseless($one->name)] = $one;
        }

        return $named;
    }
}
