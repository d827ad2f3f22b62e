<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Channel;
use App\Web\RecordedAnswers;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Source\Fold;

/** What a channel remembers, as a rehearsal begins with it. */
final class MemoryRows
{
    /**
     * Nothing is copied beforehand: what a line looks at is read when it does, however many viewers the channel
     * remembers.
     *
     * @param  Pack|null  $simulated  whose cast alone is remembered of simulated people; null for all of them
     */
    public function copy(Channel $channel, ?Pack $simulated = null): InitialState
    {
        $connection = $channel->getConnection();

        return new InitialState(
            [],
            $channel->details,
            rest: new ReadOnce(new MariaDbStore($connection, $channel->id), $simulated === null ? null : array_map(
                static fn (CastMember $one): string => Fold::caseless($one->login),
                $simulated->cast,
            )),
            quotes: new MariaDbQuotes($connection, $channel->id),
            ranking: new MariaDbRanking($connection, $channel->id),
            answers: RecordedAnswers::of($channel),
        );
    }

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $values by key id */
    public function fill(Channel $channel, array $values): void
    {
        $logins = [];
        foreach ($values as $value) {
            if (is_array($value) && is_string($value['id'] ?? null) && is_string($value['login'] ?? null)) {
                $logins[$value['id']] = $value['login'];
            }
        }
        $kept = new ByKind($channel->getConnection(), $channel->id);
        foreach (array_chunk($values, 500, true) as $chunk) {
            $changes = [];
            foreach ($chunk as $id => $value) {
                $key = Key::fromId((string) $id);
                if ($key !== null) {
                    $changes[] = new Change($key, null, $value, '', '');
                }
            }
            $kept->keep($changes, $logins);
        }
    }
}
