<?php

declare(strict_types=1);

namespace App\Air;

use Amp\TimeoutCancellation;
use App\Publish\FromChat\EffectState;
use Illuminate\Database\Connection;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Format\OutcomeFormat;
use SilverParrot\Hearing\Deeds\Deeds;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\Service\ServiceField;
use stdClass;

/**
 * What commands set at the streaming service: asked behind the commit and outside of any transaction, those of a
 * channel one after another. What was asked when a talker ended is asked again where that is harmless; of the rest
 * nobody knows.
 */
final class ServiceEffects
{
    /** The service is asked what is, and then to change it. */
    private const SECONDS = 5.0;

    /** @var array<int, true> channels for which one is under way */
    private array $underWay = [];

    public function __construct(private readonly Connection $connection, private readonly ServiceControl $service)
    {
    }

    /** @return bool whether something came of one, which is to be told; waits for the service meanwhile */
    public function next(ChannelOnAir $channel): bool
    {
        if (isset($this->underWay[$channel->id])) {
            return false;
        }
        $row = $this->waiting($channel);
        if ($row === null) {
            return false;
        }
        $this->underWay[$channel->id] = true;
        try {
            return $this->carryOut($channel, $row);
        } finally {
            unset($this->underWay[$channel->id]);
        }
    }

    private function carryOut(ChannelOnAir $channel, stdClass $row): bool
    {
        $kept = is_string($row->effect) ? json_decode($row->effect, true) : null;
        $change = ServiceChange::fromArray(is_array($kept) ? $kept : []);
        if ($change === null) {
            return $this->keep($channel, $row, ActionDone::refused('no-deed', ['name' => '']));
        }
        if ($row->state === EffectState::Begun->value && ! $change->field->isRepeatable()) {
            return $this->keep($channel, $row, ActionDone::refused('unknown'), $change, EffectState::Unknown);
        }
        if ($row->state === EffectState::Waiting->value && ! $this->isBegun($channel, $row)) {
            return false;
        }
        // The service knows the channels of its own chat, and no other.
        $done = $channel->isOfService
            ? $this->service->change($channel->login, $change, new TimeoutCancellation(self::SECONDS))
            : ActionDone::refused('no-right');
        if ($done->isDone) {
            // What is said of it already finds it so.
            $channel->details->lookAtChannel(new TimeoutCancellation(self::SECONDS));
        }

        return $this->keep($channel, $row, $done, $change);
    }

    private function waiting(ChannelOnAir $channel): ?stdClass
    {
        $row = $this->connection
            ->table('effects')
            ->where('channel_id', $channel->id)
            ->whereIn('state', [EffectState::Waiting->value, EffectState::Begun->value])
            ->whereIn('deed', Deeds::ofService())
            ->orderBy('id')
            ->first(['id', 'state', 'effect']);

        return $row instanceof stdClass ? $row : null;
    }

    /** @return bool whether the channel is still ours to ask for */
    private function isBegun(ChannelOnAir $channel, stdClass $row): bool
    {
        return $this->write($channel, $row, ['effects.state' => EffectState::Begun->value]);
    }

    private function keep(
        ChannelOnAir $channel,
        stdClass $row,
        ActionDone $done,
        ?ServiceChange $change = null,
        ?EffectState $state = null,
    ): bool {
        $json = static fn (mixed $value): string => json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        $field = $change->field->value ?? '';
        $before = $done->outcome['before'] ?? null;
        $after = $done->outcome['after'] ?? '';
        if ($change?->field === ServiceField::Mark && is_string($after)) {
            $after = trim("{$change->value} $after");
        }

        return $this->write($channel, $row, [
            'effects.state' => ($state ?? ($done->isDone ? EffectState::Done : EffectState::Refused))->value,
            'effects.outcome' => $json(OutcomeFormat::write($done)),
            'effects.effect' => '[]',
            'effects.kind' => 'stream',
            'effects.subject' => $field,
            'effects.before' => $done->isDone && $before !== null ? $json([$field => $before]) : null,
            'effects.after' => $done->isDone ? $json([$field => $after]) : null,
        ]);
    }

    /**
     * @param  array<string, string|null>  $columns
     * @return bool false where another talker has the channel by now
     */
    private function write(ChannelOnAir $channel, stdClass $row, array $columns): bool
    {
        return $this->connection
            ->table('effects')
            ->join('channels', 'channels.id', 'effects.channel_id')
            ->where('effects.channel_id', $channel->id)
            ->where('effects.id', $row->id)
            ->where('channels.lease_epoch', $channel->epoch)
            ->whereIn('effects.state', [EffectState::Waiting->value, EffectState::Begun->value])
            ->update($columns) === 1;
    }
}
