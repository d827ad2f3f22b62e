<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Rehearsal\ChatSample;
use SilverParrot\Rehearsal\PhraseTrial;

/** Which lines the phrases of a command would be set off by, told while they are typed. */
final readonly class PhrasesController
{
    /** Lines that are shown of each phrase and chat. */
    private const SHOWN = 6;

    public function __construct(private PhraseSamples $samples, private Assembler $assembler)
    {
    }

    public function __invoke(Request $request, Channel $channel): JsonResponse
    {
        $command = CommandForm::read($request)->command;
        $pack = $this->assembler->namesAndTriggers($channel);
        $cooldown = $command->gates->get(Cooldown::class)->channel;
        $heard = $this->samples->heard($channel);
        /** @var array<string, ChatSample> $chats */
        $chats = ['shipped' => PhraseSamples::shipped()] + ($heard->lines === [] ? [] : ['heard' => $heard]);
        $trials = array_map(
            static fn (ChatSample $chat): PhraseTrial => PhraseTrial::of($pack, $command, $chat),
            $chats,
        );
        $told = [];
        foreach ($command->triggers->phrases as $place => $phrase) {
            $held = max($cooldown, $phrase->cooldown);
            foreach ($trials as $name => $trial) {
                $hits = $trial->hits[$place] ?? [];
                $shown = array_slice($hits, -self::SHOWN);
                $writers = $name === 'heard'
                    ? $this->samples->writers($channel, array_column($shown, 'number'))
                    : [];
                $isCommon = $trial->isTooCommon($place, $held);
                $told[$place][$name] = [
                    'heard' => count($hits),
                    'of' => count($chats[$name]->lines),
                    'evening' => $trial->anEvening($place, $held),
                    'lines' => array_map(
                        static fn (array $line): array => [$writers[$line['number']] ?? '', $line['text']],
                        $shown,
                    ),
                    'rarer' => $isCommon ? $trial->rarer($phrase, $place) : null,
                ];
            }
        }

        $phrases = $command->triggers->phrases;

        return response()->json([
            'html' => view('write.partials.phrase-trial', ['phrases' => $phrases, 'told' => $told])->render(),
        ]);
    }
}
