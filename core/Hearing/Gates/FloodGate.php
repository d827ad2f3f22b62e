<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Flood;

/** Only so many answers within a while, to one person or to everybody, whichever commands they are to. */
final readonly class FloodGate implements Gate
{
    public function __construct(private GateScope $reach)
    {
    }

    public function name(): string
    {
        return "{$this->reach->value} flood";
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $flood = $context->world->pack->flood;
        $limit = $this->reach === GateScope::Person ? $flood->person : $flood->channel;
        $owner = $this->reach->owner($context);
        if ($limit === 0 || $owner === null) {
            return new Open(isUsual: true);
        }
        $key = Key::recentAnswers($owner);
        if (! $context->world->memory->knows($key)) {
            return Pending::key($key);
        }
        $kept = $context->world->memory->value($key);
        $recent = self::recent($kept, $context);

        return count($recent) < $limit
            ? new Open([
                new Change(
                    $key,
                    $kept,
                    ['at' => [...$recent, $context->at->millis]],
                    $this->name(),
                    $this->reach->scope($context),
                ),
            ], isUsual: true)
            : $this->closed($context, $limit, $recent[count($recent) - $limit] + Flood::WINDOW_SECONDS * 1000);
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept
     * @return list<int> when answers were given within the window, oldest first
     */
    private static function recent(null|bool|int|string|array $kept, GateContext $context): array
    {
        $window = Flood::WINDOW_SECONDS * 1000;

        return array_values(
            array_filter(
                is_array($kept) && is_array($kept['at'] ?? null) ? $kept['at'] : [],
                static fn (mixed $at): bool => is_int($at) && (Age::millis($at, $context->at) ?? $window) < $window,
            ),
        );
    }

    private function closed(GateContext $context, int $limit, int $opensAt): GateRefusal
    {
        $seconds = max(1, (int) ceil(($opensAt - $context->at->millis) / 1000));

        return new GateRefusal(
            $this->name(),
            'flood',
            ['seconds' => $seconds, 'most' => $limit],
            says: $this->reach === GateScope::Person ? 'flood-of-person' : 'flood',
        );
    }
}
