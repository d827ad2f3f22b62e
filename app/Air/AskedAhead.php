<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Future;
use Amp\TimeoutCancellation;
use SilverParrot\Hearing\UnpromptedQuestions;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\MemoizedReadings;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\World;

use function Amp\async;
use function Amp\Future\await;

/**
 * Look-ups that are asked anew while the stream is live, before anybody needs them: with what they ask where nobody
 * says anything.
 */
final readonly class AskedAhead
{
    private const SECONDS = 5.0;

    /** How often what a parameter comes from may have to be asked for first. */
    private const STEPS = 3;

    public function __construct(private UnpromptedQuestions $questions = new UnpromptedQuestions)
    {
    }

    public function look(ChannelOnAir $channel): void
    {
        $pack = $channel->pack;
        $ahead = array_filter(
            $pack->lookups ?? [],
            static fn (Lookup $one): bool => $one->keep->ahead > 0 && $one->readings !== [],
        );
        if ($pack === null || $channel->paused || $ahead === [] || ! $channel->isLive()) {
            return;
        }
        // A slow source keeps none of the others waiting.
        await(array_map(fn (Lookup $one): Future => async(fn () => $this->ask($channel, $one, $pack)), $ahead));
    }

    private function ask(ChannelOnAir $channel, Lookup $lookup, Pack $pack): void
    {
        $within = new TimeoutCancellation(self::SECONDS);
        $question = $this->question($channel, $lookup, $channel->world($pack), $within);
        if ($question !== null) {
            $channel->lookups->askAhead($question, $lookup->keep->ahead * 60, $within);
        }
    }

    private function question(
        ChannelOnAir $channel,
        Lookup $lookup,
        World $world,
        TimeoutCancellation $within,
    ): ?Request {
        $read = new MemoizedReadings($world->readings);
        for ($step = 0; $step < self::STEPS; $step++) {
            $needed = new PendingReads;
            $question = $this->questions->of($lookup, $world->reading($read), $needed);
            if ($question instanceof Request) {
                return $question;
            }
            // What is remembered of nobody is nothing; the readings that it comes from are asked for.
            foreach ($needed->requests as $request) {
                if ($request->subject === 'lookup') {
                    $read->add([$request->id => $channel->lookups->ask($request, $within)]);
                }
            }
        }

        return null;
    }
}
