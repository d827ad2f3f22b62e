<?php

declare(strict_types=1);

namespace App\Storage;

use App\Accounts\Role;
use App\Models\Channel;
use App\Models\ListItem;
use App\Models\LookupRow;
use App\Models\ScriptRow;
use App\Models\TimerRow;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Format\FromChatFormat;
use SilverParrot\Format\PlanFormat;
use SilverParrot\Format\RegularRuleFormat;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\ExtraParts;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Fold;

/** A new channel, filled from a pack. */
final readonly class PackRepository
{
    public function __construct(private CommandRepository $commands)
    {
    }

    /** @param  array<string, null|bool|int|string>  $details of the channel as the streaming service would tell them */
    public function make(Pack $pack, User $streamer, array $details = []): Channel
    {
        return DB::transaction(function () use ($pack, $streamer, $details): Channel {
            $channel = Channel::query()->create([
                'login' => $pack->channel->login,
                'name' => $pack->channel->name,
                'language' => $pack->channel->language,
                'zone' => $pack->channel->zone->getName(),
                'parrot' => $pack->parrot,
                'talkers' => $pack->talkers,
                'details' => $details,
                'seed' => $pack->channel->login,
                'flood_person' => $pack->flood->person,
                'flood_channel' => $pack->flood->channel,
                'refusals' => (object) $pack->refusals,
                'from_chat' => (object) FromChatFormat::write($pack->fromChat),
                'regulars' => (object) RegularRuleFormat::write($pack->regulars),
                'quotes_all_once' => $pack->quotes->allOnce,
                'quote_dates' => $pack->quotes->dates,
            ]);
            $channel->memberships()->create(['user_id' => $streamer->id, 'role' => Role::Streamer]);
            $this->definitions($channel, $pack);
            foreach ($pack->commands as $command) {
                $this->commands->save($channel, null, $command, $streamer, null);
            }

            return $channel;
        });
    }

    /**
     * What has a name here already is changed to what the pack says of it; what it has besides is added; all else
     * stays. What may be changed in the chat is the streamer’s to say, and comes along with nobody’s pack.
     */
    public function merge(Channel $channel, Pack $pack): void
    {
        $channel->update([
            'flood_person' => $pack->flood->person,
            'flood_channel' => $pack->flood->channel,
            'refusals' => (object) ($pack->refusals + ($channel->refusals ?? [])),
            'regulars' => (object) RegularRuleFormat::write($pack->regulars),
            'quotes_all_once' => $pack->quotes->allOnce,
            'quote_dates' => $pack->quotes->dates,
        ]);
        $this->definitions($channel, $pack);
    }

    private function definitions(Channel $channel, Pack $pack): void
    {
        foreach ($pack->facts as $fact) {
            self::put($channel->facts(), $fact, [
                'text' => $fact->text,
                'is_response' => $fact->isResponse,
                'parts' => ExtraParts::lines($fact->parts),
            ]);
        }
        foreach ($pack->lists as $list) {
            $saved = self::put($channel->lists(), $list, [
                'draw_order' => $list->order,
                'each_viewer' => $list->isForEachViewer,
                'responses' => $list->isResponses,
                'from_chat' => $list->isFromChat,
            ]);
            ListItem::query()->where('channel_id', $channel->id)->where('list_id', $saved->getKey())->delete();
            ListItem::query()->insert(
                array_map(
                    static fn (WeightedText $item, int $position): array => [
                        'channel_id' => $channel->id,
                        'stable_id' => $item->id,
                        'list_id' => $saved->getKey(),
                        'position' => $position,
                        'text' => $item->text,
                        'weight' => $item->weight,
                        'is_on' => $item->isOn,
                    ],
                    $list->all,
                    array_keys($list->all),
                ),
            );
        }
        foreach ($pack->counters as $counter) {
            self::put($channel->counters(), $counter, [
                'scope' => $counter->scope,
                'start' => $counter->start,
                'floor' => $counter->floor,
                'ceiling' => $counter->ceiling,
                'reset' => $counter->reset,
                'guard_seconds' => $counter->guard->seconds,
                'guard_by_another' => $counter->guard->onlyByAnother,
            ] + self::changes($counter->changes));
        }
        foreach ($pack->occasions as $occasion) {
            self::put($channel->occasions(), $occasion, [
                'coming' => $occasion->isComing,
                'yearly' => $occasion->isYearly,
            ]);
        }
        foreach ($pack->fields as $field) {
            self::put($channel->fields(), $field, [
                'type' => $field->type,
                'start' => $field->start,
                'one' => $field->one,
                'many' => $field->plural,
                'least_gift' => $field->leastGift,
                'ranks_streamer' => $field->ranksStreamer,
                'least' => $field->limits->least,
                'most' => $field->limits->most,
                'longest' => $field->limits->longest,
            ] + self::changes($field->changes));
        }
        foreach ($pack->goods as $goods) {
            self::put($channel->goods(), $goods, [
                'price' => $goods->price,
                'stock' => $goods->stock,
                'buy_back' => $goods->buyBack,
            ]);
        }
        foreach ($pack->ladders as $ladder) {
            $channel->ladders()->updateOrCreate(
                ['name_folded' => Fold::caseless($ladder->field)],
                [
                    'name' => $ladder->field,
                    'ranks' => $ladder->ranks,
                    'by_ever_earned' => $ladder->byEverEarned,
                    'is_on' => $ladder->isOn,
                    'rises' => $ladder->rises,
                    'falls' => $ladder->falls,
                ]
                    + self::idFor($channel->ladders(), $ladder->field, $ladder->id),
            );
        }
        foreach ($pack->earnings as $earning) {
            $channel->earnings()->updateOrCreate(['stable_id' => $earning->id], [
                'unit' => $earning->unit,
                'earned_by' => $earning->by,
                'amount' => $earning->amount,
                'minutes' => $earning->minutes,
                'levels' => LevelFormat::writeRule($earning->levels),
                'while_live' => $earning->whileLive,
                'happening' => $earning->happening,
            ]);
        }
        foreach ($pack->timers as $timer) {
            // What has its id or its name here already becomes what the pack says of it.
            $channel
                ->timers()
                ->where(static fn (Builder $any): Builder => $any->where('stable_id', $timer->id)->orWhere(
                    'name_folded',
                    Fold::caseless($timer->name),
                ))
                ->delete();
            $channel->timers()->create(TimerRow::columns($timer));
        }
        foreach ($pack->scripts as $script) {
            $channel->scripts()->updateOrCreate(['stable_id' => $script->id], ScriptRow::columns($script));
        }
        foreach ($pack->lookups as $lookup) {
            $columns = LookupRow::columns($lookup);
            $channel->lookups()->updateOrCreate(
                ['name_folded' => $columns['name_folded']],
                array_diff_key($columns, ['stable_id' => true])
                    + self::idFor($channel->lookups(), $lookup->name, $lookup->id),
            );
        }
        if (! $pack->plan->isEmpty()) {
            $channel->update(['plan' => PlanFormat::write($pack->plan)]);
        }
        foreach ($pack->emotes as $emote) {
            $channel->emotes()->where('word', $emote->word)->delete();
            $channel->emotes()->create([
                'stable_id' => $emote->id,
                'word' => $emote->word,
                'picture' => $emote->picture,
                'levels' => $emote->levels,
            ]);
        }
        foreach ($pack->cast as $position => $member) {
            $channel->castMembers()->updateOrCreate(['login' => $member->login], [
                'position' => $position,
                'name' => $member->name,
                'tier' => $member->tier,
                'habits' => $member->habits,
                'record' => $member->record,
                'details' => $member->details,
                'levels' => $member->levels,
            ]);
        }
    }

    /**
     * Under its name, with the id that it has here already: memory hangs on that.
     *
     * @param  HasMany<covariant Model, Channel>  $among
     * @param  array<string, mixed>  $values
     */
    private static function put(
        HasMany $among,
        Fact|TextList|Counter|Occasion|Field|Goods $one,
        array $values,
    ): Model {
        return $among->updateOrCreate(
            ['name_folded' => Fold::caseless($one->name)],
            ['name' => $one->name] + $values + self::idFor($among, $one->name, $one->id),
        );
    }

    /**
     * @param  HasMany<covariant Model, Channel>  $among
     * @return array<string, string> for one that is new here
     */
    private static function idFor(HasMany $among, string $name, string $id): array
    {
        $isHere = (clone $among)->where('name_folded', Fold::caseless($name))->exists();
        $isTaken = ! $isHere && (clone $among)->where('stable_id', $id)->exists();

        return $isHere ? [] : ['stable_id' => $isTaken ? Str::lower((string) Str::ulid()) : $id];
    }

    /** @return array<string, mixed> */
    private static function changes(ChangeRule $rule): array
    {
        return [
            'changed_by' => LevelFormat::line($rule->levels),
            'own_only' => $rule->ownOnly,
            'not_by_hand' => ! $rule->byHand,
        ];
    }
}
