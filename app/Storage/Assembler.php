<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models;
use Illuminate\Database\Eloquent\Collection;
use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Zones;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Fold;

/** Makes the immutable pack of a channel's rows, in a number of queries that does not grow with them. */
final class Assembler
{
    public function pack(Models\Channel $channel): Pack
    {
        return $this->assemble($channel, $channel->commands()->with(['aliases', 'responses', 'expectations'])->orderBy('id')->get());
    }

    /** Everything that can be named, without the commands: a preview needs no more. */
    public function names(Models\Channel $channel): Pack
    {
        return $this->assemble($channel, new Collection);
    }

    /** @param  Collection<int, Models\Command>  $commands */
    private function assemble(Models\Channel $channel, Collection $commands): Pack
    {
        return new Pack(
            self::channel($channel),
            $channel->parrot,
            $channel->talkers,
            array_values($commands->map(CommandRows::toCore(...))->all()),
            self::named($channel->facts()->orderBy('id')->get()->map(static fn (Models\Fact $fact): Fact => new Fact($fact->name, $fact->text, $fact->stable_id))->all()),
            self::named($channel->lists()->with('items')->orderBy('id')->get()->map(static fn (Models\TextList $list): TextList => new TextList($list->name, array_values($list->items->map(static fn (Models\ListItem $item): WeightedText => new WeightedText($item->text, $item->weight, $item->stable_id))->all()), $list->draw_order, $list->stable_id))->all()),
            self::named($channel->counters()->orderBy('id')->get()->map(static fn (Models\Counter $counter): Counter => new Counter($counter->name, $counter->scope, $counter->start, $counter->floor, $counter->ceiling, $counter->reset, $counter->stable_id))->all()),
            self::named($channel->occasions()->orderBy('id')->get()->map(static fn (Models\Occasion $occasion): Occasion => new Occasion($occasion->name, $occasion->stable_id))->all()),
            self::named($channel->fields()->orderBy('id')->get()->map(static fn (Models\Field $field): Field => new Field($field->name, $field->type, $field->start, $field->stable_id))->all()),
            array_values($channel->cast()->get()->map(self::castMember(...))->all()),
            new Flood($channel->flood_person, $channel->flood_channel),
            self::named($channel->goods()->orderBy('id')->get()->map(static fn (Models\Goods $goods): Goods => new Goods($goods->name, $goods->price, $goods->stable_id))->all()),
            $channel->ladders()->orderBy('id')->get()->mapWithKeys(static fn (Models\Ladder $ladder): array => [Fold::caseless($ladder->name) => new Ladder($ladder->name, $ladder->ranks, $ladder->stable_id)])->all(),
            self::emotes($channel),
        );
    }

    /** @return list<Emote> */
    public static function emotes(Models\Channel $channel): array
    {
        return array_values($channel->emotes->map(static fn (Models\Emote $emote): Emote => new Emote(
            $emote->word,
            $emote->picture,
            new LevelRule(self::levels($emote->any_of), $emote->at_least === null ? null : Level::named($emote->at_least)),
            $emote->stable_id,
        ))->all());
    }

    public static function channel(Models\Channel $channel): Channel
    {
        // What was let in before all were looked at must not keep every page of the channel from coming.
        return Channel::of($channel->login, $channel->name, Languages::isKnown($channel->language) ? $channel->language : 'en', Zones::isKnown($channel->zone) ? $channel->zone : 'UTC');
    }

    private static function castMember(Models\CastMember $member): CastMember
    {
        return new CastMember($member->login, $member->name, self::levels($member->levels), $member->tier, $member->habits, $member->record);
    }

    /**
     * @param  list<string>  $words
     * @return list<Level>
     */
    public static function levels(array $words): array
    {
        return array_values(array_filter(array_map(Level::named(...), $words)));
    }

    /**
     * @template T of object{name: string}
     *
     * @param  array<int, T>  $definitions
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
