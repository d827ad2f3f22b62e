<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Value\Moment;

/** So many successes a stream or a day, for everybody together or for each person. What failed does not count. */
final readonly class AtMostGate implements Gate
{
    /** @param  int  $most  more than 0 */
    public function __construct(private GateScope $reach, private Per $per, private int $most)
    {
    }

    public function name(): string
    {
        return "{$this->reach->value} {$this->per->value} limit";
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $owner = $this->reach->owner($context);
        if ($owner === null) {
            return new Open;
        }
        $memory = $context->world->memory;
        $key = Key::successes($context->command->id, $this->per->value, $owner);
        $needed = [$key, ...($this->per === Per::Stream ? [Key::stream()] : [])];
        $unknown = array_filter($needed, static fn (Key $one): bool => ! $memory->knows($one));
        if ($unknown !== []) {
            return Pending::key(...$unknown);
        }
        $zone = $context->world->pack->channel->zone;
        $period = $this->per === Per::Stream
            ? RunningStream::period($memory->value(Key::stream()))
            : $context->at->in($zone)->format('Y-m-d');
        $kept = $memory->value($key);
        $times = is_array($kept) && ($kept['period'] ?? null) === $period && is_int($kept['times'] ?? null)
            ? $kept['times']
            : 0;
        if ($times < $this->most) {
            return new Open(keptOnSuccess: [
                new Change(
                    $key,
                    $kept,
                    ['period' => $period, 'times' => $times + 1],
                    $this->name(),
                    $this->reach->scope($context),
                ),
            ]);
        }
        $midnight = Moment::of($context->at->in($zone)->modify('+1 day')->setTime(0, 0));
        $seconds = (int) ceil(($midnight->millis - $context->at->millis) / 1000);

        return new GateRefusal(
            $this->name(),
            'at-most',
            ['count' => $this->most]
                + ($this->per === Per::Day ? ['seconds' => $seconds, 'length' => Lengths::of($seconds)] : []),
            ['needs' => $this->most],
            AtMost::refusal(),
            says: "at-most-{$this->reach->value}-{$this->per->value}",
        );
    }
}
