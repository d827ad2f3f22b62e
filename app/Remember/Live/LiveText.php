<?php

declare(strict_types=1);

namespace App\Remember\Live;

use App\Models\Channel;
use App\Models\LiveAddress;
use App\Publish\Editions;
use App\Storage\Assembler;
use App\Storage\MemoryRows;
use Illuminate\Contracts\Cache\Repository;
use SilverParrot\Rehearsal\SaidNow;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\WithoutCaller;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;

/** What a live address says now, found at most once a second for all who read it. */
final readonly class LiveText
{
    private const SECONDS = 1;

    public function __construct(
        private Editions $editions,
        private Assembler $assembler,
        private MemoryRows $memory,
        private Repository $cache,
        private ResponseCache $prepared,
    ) {
    }

    public function of(LiveAddress $address): string
    {
        return $this->cache->remember(
            "live {$address->id} ".hash('xxh64', $address->shows),
            self::SECONDS,
            fn (): string => $this->say($address->channel, $address->shows),
        );
    }

    /** By what is on the air; before anything is, by the draft. */
    public function say(Channel $channel, string $shows): string
    {
        $pack = $this->editions->onAir($channel) ?? $this->assembler->names($channel);
        $flaws = $this->prepared->response($shows)->findings($pack);
        if (array_filter($flaws, static fn (Finding $flaw): bool => $flaw->isError()) !== []) {
            // It is renamed with the draft, and what is on the air has the old name until it is published.
            $pack = $pack->alsoCalledAs($this->assembler->names($channel));
        }
        $situation = $this->memory->copy($channel);
        $said = new SaidNow($pack, $situation, $channel->profile(), "live {$channel->id}", $this->prepared);

        return $said->to(null, '', [$shows], Moment::of(now()))[0] ?? '';
    }

    /** Why it cannot be shown; empty where it can. */
    public function problem(Channel $channel, string $shows): string
    {
        return WithoutCaller::problem($shows, $this->assembler->names($channel), $this->prepared);
    }
}
