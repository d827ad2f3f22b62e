<?php

declare(strict_types=1);

namespace App\Storage;

use App\Accounts\Role;
use App\Models\Channel;
use App\Models\ListItem;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use SilverParrot\Pack\Counter;
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
            ]);
            $channel->memberships()->create(['user_id' => $streamer->id, 'role' => Role::Streamer]);
            $this->definitions($channel, $pack);
            foreach ($pack->commands as $command) {
                $this->commands->save($channel, null, $command, $streamer, null);
            }

            return $channel;
        });
    }

    private function definitions(Channel $channel, Pack $pack): void
    {
        $row = static fn (Fact|TextList|Counter|Occasion|Field|Goods $one): array => [
            'stable_id' => $one->id,
            'name' => $one->name,
            'name_folded' => Fold::caseless($one->name),
        ];
        foreach ($pack->facts as $fact) {
            $channel->facts()->create($row($fact) + ['text' => $fact->text]);
        }
        foreach ($pack->lists as $list) {
            $saved = $channel->lists()->create($row($list) + ['draw_order' => $list->order]);
            ListItem::query()->insert(
                array_map(
                    static fn (WeightedText $item, int $position): array => [
                        'channel_id' => $channel->id,
                        'stable_id' => $item->id,
                        'list_id' => $saved->id,
                        'position' => $position,
                        'text' => $item->text,
                        'weight' => $item->weight,
                    ],
                    $list->items,
                    array_keys($list->items),
                ),
            );
        }
        foreach ($pack->counters as $counter) {
            $channel->counters()->create(
                $row($counter) + [
                    'scope' => $counter->scope,
                    'start' => $counter->start,
                    'floor' => $counter->floor,
                    'ceiling' => $counter->ceiling,
                    'reset' => $counter->reset,
                ],
            );
        }
        foreach ($pack->occasions as $occasion) {
            $channel->occasions()->create($row($occasion));
        }
        foreach ($pack->fields as $field) {
            $channel->fields()->create($row($field) + ['type' => $field->type, 'start' => $field->start]);
        }
        foreach ($pack->goods as $goods) {
            $channel->goods()->create($row($goods) + ['price' => $goods->price]);
        }
        foreach ($pack->ladders as $ladder) {
            $channel->ladders()->create([
                'stable_id' => $ladder->id,
                'name' => $ladder->field,
                'name_folded' => Fold::caseless($ladder->field),
                'ranks' => $ladder->ranks,
            ]);
        }
        foreach ($pack->emotes as $emote) {
            $channel->emotes()->create([
                'stable_id' => $emote->id,
                'word' => $emote->word,
                'picture' => $emote->picture,
                'levels' => $emote->levels,
            ]);
        }
        foreach ($pack->cast as $position => $member) {
            $channel->castMembers()->create([
                'position' => $position,
                'login' => $member->login,
                'name' => $member->name,
                'tier' => $member->tier,
                'habits' => $member->habits,
                'record' => $member->record,
                'details' => $member->details,
                'levels' => $member->levels,
            ]);
        }
    }
}
