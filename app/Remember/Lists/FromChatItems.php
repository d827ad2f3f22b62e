<?php

declare(strict_types=1);

namespace App\Remember\Lists;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;

/** What was added to a list in the chat, and its author has not decided on yet. */
final readonly class FromChatItems
{
    public function __construct(private Assembler $assembler, private Connection $connection)
    {
    }

    /** @return array{TextList|null, list<WeightedText>} null where there is no such list */
    public function of(Channel $channel, string $stable): array
    {
        foreach ($this->assembler->names($channel)->lists as $list) {
            if ($list->id === $stable) {
                $store = new MariaDbStore($this->connection, $channel->id);

                return [$list, AddedItems::in($store->snapshot(Reads::of(Key::addedItems($list->id))), $list)];
            }
        }

        return [null, []];
    }
}
