<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MemoryRows;
use Illuminate\Contracts\View\View;
use SilverParrot\Hearing\WorkedExample;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\SaidNow;
use SilverParrot\Response\Reference\Reference;
use SilverParrot\Value\Moment;

/** The language by ten worked examples, with what they say here and now, and all that a slot can hold. */
final readonly class HelpController
{
    public function __construct(private Assembler $assembler, private MemoryRows $memory)
    {
    }

    public function __invoke(Channel $channel): View
    {
        $pack = $this->assembler->namesAndTriggers($channel);
        $caller = CastMember::lowest($pack->cast)?->person();
        $now = new SaidNow(
            $pack,
            $this->memory->copy($channel)->withDetailsOf($pack),
            $channel->profile(),
            $channel->seed,
        );
        $said = [];
        foreach (WorkedExample::cases() as $example) {
            $said[$example->value] = $caller === null
                ? null
                : $now->to($caller, $example->typed(), [$example->response($pack)], Moment::of(now()))[0];
        }

        return view('write.help', [
            'channel' => $channel,
            'pack' => $pack,
            'caller' => $caller,
            'said' => $said,
            'entries' => Reference::of(new Pack($pack->channel)),
        ]);
    }
}
