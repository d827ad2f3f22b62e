<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\MemoryRows;
use Illuminate\Http\JsonResponse;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Emote;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Reference;
use SilverParrot\Response\ReferenceEntry;
use SilverParrot\Value\Moment;

/** All that can be typed into a slot, each with the value that it would have now. */
final readonly class ReferenceController
{
    private const LONGEST_VALUE = 60;

    public function __construct(private Assembler $assembler, private MemoryRows $memory)
    {
    }

    public function __invoke(Channel $channel): JsonResponse
    {
        $pack = $this->assembler->pack($channel);
        $caller = CastMember::lowest($pack->cast)?->person();
        $situation = $this->memory->copy($channel);
        $now = Moment::of(now());

        return response()->json([...array_map(static function (ReferenceEntry $entry) use ($pack, $situation, $caller, $channel, $now): array {
            $value = null;
            if ($entry->hasValue && $caller !== null) {
                $asking = $pack->withCommand(Command::saying('!…', "[{$entry->insert}]")->gated(Cooldown::none()));
                $value = (new Rehearsal($asking, $situation, $channel->seed, $channel->profile(), traced: false))->line('reference', $caller, '!… '.$caller->login, $now)->texts()[0] ?? null;
            }

            return [
                'heading' => $entry->heading, 'insert' => $entry->insert, 'takes' => $entry->described->takes, 'gives' => $entry->gives(),
                'sentence' => $entry->sentence(), 'example' => $entry->described->example, 'withNothing' => $entry->described->withNothing,
                'now' => $value === null ? null : mb_substr($value, 0, self::LONGEST_VALUE),
            ];
        }, Reference::of($pack)), ...array_map(static fn (Emote $emote): array => [
            'heading' => 'Emotes', 'insert' => $emote->word, 'takes' => '', 'gives' => 'a picture', 'sentence' => $emote->levels->isForEveryone() ? 'For everyone.' : "For {$emote->levels->inWords()}.", 'example' => $emote->word,
            'withNothing' => '', 'now' => null, 'picture' => $emote->picture,
        ], $pack->emotes)]);
    }
}
